<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Measure\Amount;
use Crown\Measure\WrittenAmount;

/** What went in of a line at the counter. Method page: docs/methods/making.md. */
final readonly class Put
{
    /**
     * @param  float  $grams what the scale showed, or what the drops come to, or what was planned; 0 when left out
     * @param  int|null  $drops how many were counted; null when none were
     */
    private function __construct(public PutHow $how, public float $grams, public ?int $drops = null)
    {
    }

    /** @throws MakeError about "grams": a scale that shows nothing does not say why */
    public static function weighed(float $grams): self
    {
        return $grams > 0.0 ? new self(PutHow::Weighed, $grams) : throw MakeError::nothingShown();
    }

    /** @throws MakeError about "drops" when the line is not counted in drops, or none were */
    public static function counted(Weighing $of, int $drops): self
    {
        if ($of->dropGrams === null) {
            throw MakeError::noDrops($of->name);
        }

        return $drops > 0
            ? new self(PutHow::Counted, $drops * $of->dropGrams, $drops)
            : throw MakeError::nothingShown();
    }

    /** @throws MakeError about "how" when the scale can show it */
    public static function tooLittle(Weighing $of): self
    {
        return $of->isTooLittle()
            ? new self(PutHow::TooLittle, $of->targetGrams)
            : throw MakeError::canBeWeighed($of->name);
    }

    public static function leftOut(): self
    {
        return new self(PutHow::LeftOut, 0.0);
    }

    /** As it is kept. */
    public static function kept(PutHow $how, float $grams, ?int $drops): self
    {
        return new self($grams > 0.0 ? $how : PutHow::LeftOut, $grams, $drops);
    }

    public function isIn(): bool
    {
        return $this->how !== PutHow::LeftOut;
    }

    /** The amount that takes the place of the one that was asked for. */
    public function amount(): WrittenAmount
    {
        return new WrittenAmount(
            $this->how === PutHow::Counted && $this->drops !== null
                ? Amount::drops($this->drops)->written
                : Amount::grams(round($this->grams, 3))->written,
        );
    }
}
