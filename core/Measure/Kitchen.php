<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * What the maker works with: the cup's size, the scale's resolution, calibrated droppers by substance name, the largest
 * bowl, what else stands in the kitchen, and the sides taken where makers disagree.
 */
final readonly class Kitchen
{
    public Ways $ways;

    /**
     * @param  array<string, DropCalibration>  $calibrations keyed by substance name
     * @param  float  $scaleGrams resolution, g
     * @param  float|null  $bowlMillilitres what the largest bowl holds to the rim; null when it is not known
     * @param  list<Scale>  $scales the maker's own, where she has named them; else there is one, of $scaleGrams
     * @param  list<OwnSpoon>  $spoons her own, weighed once
     *
     * @throws MeasureError when the scale's resolution is not above 0 and at most 100 g, or the bowl's size not above 0
     *     and at most 100,000 ml
     */
    public function __construct(
        public CupSize $cup = CupSize::UsCustomary,
        public float $scaleGrams = 1.0,
        public array $calibrations = [],
        public ?float $bowlMillilitres = null,
        public array $scales = [],
        public array $spoons = [],
        public Tools $tools = new Tools(),
        ?Ways $ways = null,
    ) {
        $this->ways = $ways ?? Ways::safer();
        if (! is_finite($scaleGrams) || $scaleGrams <= 0.0 || $scaleGrams > 100.0) {
            throw MeasureError::badScale($scaleGrams);
        }
        $bowl = $bowlMillilitres;
        if ($bowl !== null && (! is_finite($bowl) || $bowl <= 0.0 || $bowl > 100_000.0)) {
            throw MeasureError::badBowl($bowl);
        }
    }

    /** The scale on which so much is weighed: the finest that carries it, else the one that carries most. */
    public function scaleFor(float $grams): Scale
    {
        $best = null;
        foreach ($this->scales as $scale) {
            $carries = $scale->mostGrams >= $grams;
            $held = $best !== null && $best->mostGrams >= $grams;
            $better = $best === null || match (true) {
                $carries !== $held => $carries,
                $carries => $scale->stepGrams < $best->stepGrams,
                default => $scale->mostGrams > $best->mostGrams,
            };
            $best = $better ? $scale : $best;
        }

        return $best ?? new Scale($this->scaleGrams, INF, 'studio setting');
    }

    /** Grams that the scale shows on which so much is weighed. */
    public function stepFor(float $grams): float
    {
        return $this->scaleFor($grams)->stepGrams;
    }

    /** Her own spoon or cup that was weighed with just this; null when there is none. */
    public function spoonOf(Unit $unit, string $substance): ?OwnSpoon
    {
        foreach ($this->spoons as $spoon) {
            if ($spoon->unit === $unit && $spoon->substance === $substance) {
                return $spoon;
            }
        }

        return null;
    }

    /** Millilitres of a measure: her own where she weighed it with water, else what the country means by it. */
    public function millilitres(Unit $unit): float
    {
        foreach ($this->spoons as $spoon) {
            $holds = $spoon->unit === $unit ? $spoon->millilitres() : null;
            if ($holds !== null) {
                return $holds;
            }
        }

        return $unit->millilitres($this->cup);
    }
}
