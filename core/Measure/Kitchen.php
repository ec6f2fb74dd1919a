<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * What the maker works with: the cup's size, the scale's resolution, calibrated droppers by substance name, the largest
 * bowl.
 */
final readonly class Kitchen
{
    /**
     * @param  array<string, DropCalibration>  $calibrations keyed by substance name
     * @param  float  $scaleGrams resolution, g
     * @param  float  $bowlMillilitres what the largest bowl holds to the rim; 0 when it is not known
     *
     * @throws MeasureError when the scale's resolution is not above 0 and at most 100 g, or a bowl not 0 to 100,000 ml
     */
    public function __construct(
        public CupSize $cup = CupSize::UsCustomary,
        public float $scaleGrams = 1.0,
        public array $calibrations = [],
        public float $bowlMillilitres = 0.0,
    ) {
        if (! is_finite($scaleGrams) || $scaleGrams <= 0.0 || $scaleGrams > 100.0) {
            throw MeasureError::badScale($scaleGrams);
        }
        if (! is_finite($bowlMillilitres) || $bowlMillilitres < 0.0 || $bowlMillilitres > 100_000.0) {
            throw MeasureError::badBowl($bowlMillilitres);
        }
    }
}
