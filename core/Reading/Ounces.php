<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Assessment\Assessment;
use Crown\Assessment\Portion;
use Crown\Catalogue\Name;
use Crown\Measure\Number;
use JsonSerializable;

/**
 * An ounce is one of weight or one of volume, and a recipe seldom says which. It is asked once for the whole recipe,
 * where it matters, with what it would change.
 */
final readonly class Ounces implements JsonSerializable
{
    /** Points of share, per cent, from which it matters. */
    private const SHARE = 0.5;

    /** Part of the whole, from which it matters. */
    private const WHOLE = 0.02;

    private function __construct(private bool $byVolume, private string $changes)
    {
    }

    /**
     * The question, or null where the answer changes little.
     *
     * @param  bool  $byVolume how it is read now
     */
    public static function asked(Assessment $byWeight, Assessment $asFluid, bool $byVolume): ?self
    {
        [$weight, $fluid] = [$byWeight->subject->composition, $asFluid->subject->composition];
        $most = null;
        $moved = 0.0;
        foreach ($weight->portions as $i => $portion) {
            $other = $fluid->portions[$i] ?? $portion;
            if (abs($other->percent() - $portion->percent()) > $moved) {
                $moved = abs($other->percent() - $portion->percent());
                $most = [$portion, $other];
            }
        }
        $whole = $weight->totalGrams->best;
        $grown = $whole > 0.0 ? abs($fluid->totalGrams->best - $whole) / $whole : 0.0;

        return $most === null || ($moved < self::SHARE && $grown < self::WHOLE) ? null : new self(
            $byVolume,
            sprintf(
                'By weight %s. By volume %s.',
                self::told($most[0], $whole),
                self::told($most[1], $fluid->totalGrams->best),
            ),
        );
    }

    /** @return array{by_volume: bool, changes: string} */
    public function jsonSerialize(): array
    {
        return ['by_volume' => $this->byVolume, 'changes' => $this->changes];
    }

    private static function told(Portion $portion, float $grams): string
    {
        return sprintf(
            'it comes to %s g, with %s %% %s',
            Number::shown($grams, 0),
            Number::shown($portion->percent(), 1),
            Name::inSentence($portion->ingredient->name),
        );
    }
}
