<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A pump of the maker's, calibrated: so many strokes weighed so much. */
final readonly class Pump
{
    /** @param  float  $grams of one stroke, more than 0 */
    public function __construct(public string $name, public float $grams)
    {
    }

    /** "about 4 strokes (Small pump)" */
    public function words(float $grams): string
    {
        $strokes = $this->strokes($grams);

        return sprintf('about %d %s (%s)', $strokes, $strokes === 1 ? 'stroke' : 'strokes', $this->name);
    }

    /** Whole strokes for an amount, at least one. */
    public function strokes(float $grams): int
    {
        return max(1, (int) round($grams / $this->grams));
    }
}
