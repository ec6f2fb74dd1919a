<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Words\Message;

/** How much water a product holds or meets. Method page: docs/methods/water.md. */
enum WaterClass: string
{
    /** No water, kept dry. */
    case Dry = 'A';
    /** No water, but wet in use. */
    case WetInUse = 'B';
    /** Traces: steeped from fresh and not shown dry. */
    case Traces = 'C';
    /** Free water without an emulsifier: separates and spoils. */
    case Free = 'D';
    case Emulsion = 'E';
    /** Water with so much alcohol that nothing grows in it. */
    case Spirit = 'F';

    /**
     * Of a steeped oil, by what it may hold at worst.
     *
     * @param  float  $percent of its mass
     */
    public static function ofSteep(float $percent): self
    {
        return match (true) {
            $percent < WaterBalance::DRY => self::Dry,
            $percent <= WaterBalance::MOST_TRACES => self::Traces,
            default => self::Free,
        };
    }

    /** Whether it can spoil as what is wet does. */
    public function bearsWater(): bool
    {
        return ! in_array($this, [self::Dry, self::WetInUse], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Dry => Message::said('assessment.water-class.no-water-kept-dry'),
            self::WetInUse => Message::said('assessment.water-class.no-water-but-wet'),
            self::Traces => Message::said('assessment.water-class.traces-water'),
            self::Free => Message::said('assessment.water-class.free-water'),
            self::Emulsion => Message::said('assessment.water-class.emulsion'),
            self::Spirit => Message::said('assessment.water-class.water-held-by-alcohol'),
        };
    }
}
