<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * One of the maker's own spoons or cups, weighed once with something in it: "my tablespoon of shea is 12.1 g". Of that
 * thing it is as good as a scale; weighed with water it tells its volume, and so counts for every liquid.
 */
final readonly class OwnSpoon
{
    /** How much one filling differs from the next, of its mass. Source: estimate of ours, half of a strange spoon's. */
    private const FILLING = 0.05;

    private const WATER_DENSITY = 0.998;

    /**
     * @param  Unit  $unit what she calls it: a teaspoon, a tablespoon, a cup
     * @param  string  $substance name of what it was weighed with
     * @param  float  $grams of one filling
     * @param  float  $stepGrams of the scale it stood on
     *
     * @throws MeasureError when it weighs nothing, or is no measure of volume
     */
    public function __construct(
        public Unit $unit,
        public string $substance,
        public float $grams,
        public float $stepGrams,
        public bool $water = false,
    ) {
        if (! $unit->isVolume() || $grams <= 0.0 || $stepGrams <= 0.0) {
            throw MeasureError::badSpoon();
        }
    }

    /** Grams of one filling of what it was weighed with. */
    public function filling(): Band
    {
        $half = $this->stepGrams / 2 + self::FILLING * $this->grams;

        return Band::of(max(0.0, $this->grams - $half), $this->grams, $this->grams + $half);
    }

    /** Millilitres that it holds, where it was weighed with water; null where it was not. */
    public function millilitres(): ?float
    {
        return $this->water ? $this->grams / self::WATER_DENSITY : null;
    }
}
