<?php

declare(strict_types=1);

namespace Crown\Measure;

/** How a number is known. A number made from several is known only as well as the worst of them. */
enum Basis: string
{
    /** Read from an instrument: a scale, a probe, a clock. */
    case Measured = 'measured';
    /** Worked out by a fixed rule from what was measured out: spoons through a published density. */
    case Converted = 'converted';
    /** A judgement with a band: a drop, a leaf, a density without a source. */
    case Estimated = 'estimated';

    public static function weakest(self ...$all): self
    {
        $worst = self::Measured;
        foreach ($all as $one) {
            if ($one->rank() > $worst->rank()) {
                $worst = $one;
            }
        }

        return $worst;
    }

    private function rank(): int
    {
        return match ($this) {
            self::Measured => 0,
            self::Converted => 1,
            self::Estimated => 2,
        };
    }
}
