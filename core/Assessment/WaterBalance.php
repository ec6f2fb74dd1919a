<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** Which line brings how much water, and the class that results. Method page: docs/methods/water.md. */
final readonly class WaterBalance
{
    /** Below this a blend counts as dry, per cent of the finished mass. */
    public const DRY = 0.1;

    /** Traces from steeps above this are free water, per cent. */
    public const MOST_TRACES = 1.0;

    /** Part of water and alcohol together that is alcohol, by mass, from which nothing grows: a fifth by volume. */
    private const KEEPS = 0.165;

    /** An emulsifier below this does not hold an emulsion, per cent of the finished mass. */
    private const LEAST_EMULSIFIER = 2.0;

    /**
     * @param  list<Portion>  $bearers lines that bring water
     * @param  Band  $percent water, per cent of the finished mass
     * @param  float  $ethanolPercent alcohol at the least, per cent of the finished mass
     */
    private function __construct(
        public array $bearers,
        public Band $percent,
        public WaterClass $class,
        public float $emulsifierPercent,
        public float $ethanolPercent,
    ) {
    }

    public static function of(Composition $composition): self
    {
        $bearers = array_values(
            array_filter($composition->counted(), static fn (Portion $p): bool => $p->freeWater()->best > 0.0),
        );
        $low = $best = $high = 0.0;
        foreach ($bearers as $portion) {
            $water = $portion->freeWater();
            [$low, $best, $high] = [$low + $water->low, $best + $water->best, $high + $water->high];
        }
        $percent = Band::of($low, $best, min(1.0, max($best, $high)))->scaled(100);
        $emulsifiers = array_filter(
            $composition->counted(),
            static fn (Portion $p): bool => $p->ingredient->composition->emulsifies,
        );
        $emulsifier = array_sum(array_map(static fn (Portion $p): float => $p->percent(), $emulsifiers));
        $onlySteeps
            = array_filter(
                $bearers,
                static fn (Portion $p): bool => $p->ingredient->kind !== IngredientKind::ReadySteep,
            ) === [];
        $spirit = self::ethanol($composition);
        $class = match (true) {
            // What it holds at worst decides.
            $percent->high < self::DRY => $composition->formula->wetUse ? WaterClass::WetInUse : WaterClass::Dry,
            $spirit >= self::KEEPS * ($spirit + $percent->high / 100) => WaterClass::Spirit,
            // An emulsion needs both an emulsifier and enough of it for the water there is.
            $emulsifier >= max(self::LEAST_EMULSIFIER, 0.04 * $percent->best) => WaterClass::Emulsion,
            $onlySteeps && $percent->high <= self::MOST_TRACES => WaterClass::Traces,
            default => WaterClass::Free,
        };

        return new self($bearers, $percent, $class, $emulsifier, $spirit * 100);
    }

    /** Alcohol at the least, as a fraction of the whole: it is counted on to keep the water. */
    private static function ethanol(Composition $composition): float
    {
        $ethanol = 0.0;
        foreach ($composition->counted() as $portion) {
            if ($portion->ingredient->facts->has(Property::Ethanol)) {
                $ethanol += $portion->share->low * $portion->ingredient->facts->get(Property::Ethanol)->band->low;
            }
        }

        return $ethanol;
    }
}
