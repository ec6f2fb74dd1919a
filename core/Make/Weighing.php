<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Portion;
use Crown\Formula\Phase;
use Crown\Measure\Band;

/** One line to weigh or to count: target and tolerance in grams, and in drops where it is written in drops. */
final readonly class Weighing
{
    /** More than so many times of what was asked for is another batch. */
    public const MOST = 5;

    /** Id of its line. */
    public string $line;

    /** Id of its ingredient; null where nobody placed it. */
    public ?string $ingredient;

    public string $name;

    public Phase $phase;

    /** How many drops it is; null for a line that is not written in drops. */
    public ?int $drops;

    /**
     * @param  Portion  $of what is weighed
     * @param  float  $scaleGrams what the scale can show
     * @param  float|null  $dropGrams what one drop weighs, from the maker's own bottle where it was calibrated; null
     *     for a line that is not written in drops
     */
    public function __construct(
        private Portion $of,
        public float $targetGrams,
        public float $toleranceGrams,
        public float $scaleGrams,
        public ?float $dropGrams = null,
    ) {
        $this->line = $of->line->id;
        $this->ingredient = $of->ingredient->isPlaced() ? $of->ingredient->id : null;
        $this->name = $of->ingredient->name;
        $this->phase = $of->line->phase;
        $this->drops = $dropGrams === null ? null : max(1, (int) round($targetGrams / $dropGrams));
    }

    /**
     * The same where all of the batch becomes larger by a factor; what is counted, in whole drops. It may be off
     * by no more than before.
     */
    public function scaled(float $factor): self
    {
        return new self(
            $this->of,
            $this->targetGrams * $factor,
            $this->toleranceGrams,
            $this->scaleGrams,
            $this->dropGrams,
        );
    }

    /** As if exactly what is asked for had gone in. */
    public function asAsked(): Put
    {
        return $this->drops !== null ? Put::counted($this, $this->drops) : Put::kept(
            PutHow::Weighed,
            $this->targetGrams,
            null,
        );
    }

    /** Between what it may weigh without a question, g. */
    public function near(): Band
    {
        return Band::of(
            max(0.0, $this->targetGrams - $this->toleranceGrams),
            $this->targetGrams,
            $this->targetGrams + $this->toleranceGrams,
        );
    }

    /** Up to which all the rest may follow when more went in: more than that is another batch, g. */
    public function mostGrams(): float
    {
        return self::MOST * $this->targetGrams;
    }

    public function isWithin(float $grams): bool
    {
        return $grams >= $this->near()->low - 1e-9 && $grams <= $this->near()->high + 1e-9;
    }

    /** Whether what went in is as near to the target as it should be; drops to a tenth of them, rounded down. */
    public function isMetBy(Put $put): bool
    {
        return match ($put->how) {
            PutHow::Weighed => $this->isWithin($put->grams),
            PutHow::Counted => abs(($put->drops ?? 0) - ($this->drops ?? 0)) <= intdiv($this->drops ?? 0, 10),
            PutHow::TooLittle => true,
            PutHow::LeftOut => false,
        };
    }

    /** Whether it is in and comes to less than is asked for. */
    public function wants(Put $put): bool
    {
        return $put->isIn() && ! $this->isMetBy($put) && $put->grams < $this->targetGrams;
    }

    /** Whether there is less of it than one step of the scale. */
    public function isTooLittle(): bool
    {
        return $this->targetGrams < $this->scaleGrams;
    }
}
