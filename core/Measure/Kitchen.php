<?php

declare(strict_types=1);

namespace Crown\Measure;

/** What the maker measures with: the cup's size, the scale's resolution in grams, calibrated droppers by substance name. */
final readonly class Kitchen
{
    /**
     * @param  array<string, DropCalibration>  $calibrations keyed by substance name
     *
     * @throws MeasureError when the scale's resolution is not above 0 and at most 100 g
     */
    public function __construct(
        public CupSize $cup = CupSize::UsCustomary,
        public float $scaleGrams = 1.0,
        public array $calibrations = [],
    ) {
        if (! is_finite($scaleGrams) || $scaleGrams <= 0.0 || $scaleGrams > 100.0) {
            throw MeasureError::badScale($scaleGrams);
        }
    }
}
