<?php

declare(strict_types=1);

namespace Crown\Measure;

/** "40 drops weighed 1.1 g": the maker's own bottle, which replaces the usual band. */
final readonly class DropCalibration
{
    /**
     * @param  int  $drops how many were counted
     * @param  float  $grams what they weighed
     * @param  float  $scaleGrams resolution of the scale they were weighed on
     *
     * @throws MeasureError
     */
    public function __construct(public int $drops, public float $grams, public float $scaleGrams)
    {
        if ($drops < 1 || $grams <= 0.0 || $scaleGrams <= 0.0) {
            throw MeasureError::badCalibration();
        }
    }

    /** Grams of one drop, with half the scale's resolution spread over the count. */
    public function gramsPerDrop(): Band
    {
        return Band::around($this->grams, $this->scaleGrams / 2)->scaled(1 / $this->drops);
    }
}
