<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** How long a product keeps, in months, with the chain of reasons. Method page: docs/methods/life.md. An estimate. */
final readonly class Life
{
    private const DAYS_PER_MONTH = 30.44;

    /** @param  list<string>  $reasons whole sentences, in the order in which they were applied */
    private function __construct(
        public Band $months,
        public array $reasons,
        public bool $capped,
    ) {
    }

    public static function of(Composition $composition, WaterLedger $water): self
    {
        $harmonic = [0.0, 0.0, 0.0];
        $weighed = 0.0;
        $weakest = [];
        foreach ($composition->counted() as $portion) {
            // Only what can go rancid is weighed; what water does is the cap's business.
            if (! $portion->ingredient->facts->has(Property::LifeMonths) || ! self::oxidises($portion->ingredient->kind)) {
                continue;
            }
            $life = $portion->ingredient->facts->get(Property::LifeMonths)->band;
            $share = $portion->share->best;
            $weighed += $share;
            $harmonic = [$harmonic[0] + $share / $life->low, $harmonic[1] + $share / $life->best, $harmonic[2] + $share / $life->high];
            if ($share >= 0.05 && ($weakest === [] || $life->best < $weakest[1]->best)) {
                $weakest = [$portion, $life];
            }
        }
        if ($weighed <= 0.0) {
            return new self(Band::exact(0.0), ['Cannot tell: no line has a known life.'], true);
        }
        $blend = Band::of($weighed / $harmonic[0], $weighed / $harmonic[1], $weighed / $harmonic[2]);
        $months = $blend;
        $reasons = [sprintf('The blend as a whole: %s months, the lives of its lines weighed by share.', self::words($blend))];
        if ($weakest !== []) {
            [$portion, $life] = $weakest;
            $reasons[] = sprintf('Its weakest line of 5 %% or more is %s: %s months.', $portion->ingredient->name, self::words($life));
            if ($life->best < $blend->best) {
                $months = $life;
            }
        }
        [$months, $reasons] = self::withAntioxidant($composition, $months, $reasons);
        $celsius = $composition->formula->storageCelsius;
        if (abs($celsius - 20.0) > 0.01) {
            $months = $months->scaled(2 ** ((20.0 - $celsius) / 10));
            $reasons[] = sprintf('Stored at %g °C instead of 20: times %s.', $celsius, number_format(2 ** ((20.0 - $celsius) / 10), 2));
        }

        return self::capped($composition, $water, $months, $reasons);
    }

    /**
     * @param  list<string>  $reasons
     * @return array{Band, list<string>}
     */
    private static function withAntioxidant(Composition $composition, Band $months, array $reasons): array
    {
        foreach ($composition->counted() as $portion) {
            if ($portion->ingredient->preservation->kind === PreservationKind::Antioxidant && $portion->percent() >= 0.1) {
                $reasons[] = sprintf('%s at %s %%: times 1.2 to 1.5. More than 1 %% adds no life.', $portion->ingredient->name, number_format($portion->percent(), 1));

                return [$months->times(Band::of(1.2, 1.35, 1.5)), $reasons];
            }
        }
        $reasons[] = 'No antioxidant of 0.1 % or more.';

        return [$months, $reasons];
    }

    /** @param  list<string>  $reasons */
    private static function capped(Composition $composition, WaterLedger $water, Band $months, array $reasons): self
    {
        $preserved = Preservative::of($composition)->fits($water->class);
        [$cap, $why] = match (true) {
            $water->class === WaterClass::Free || $water->class === WaterClass::Emulsion && ! $preserved => [7 / self::DAYS_PER_MONTH, 'Free water without a fitting preservative: 7 days in the fridge, or 30 days frozen.'],
            $water->class === WaterClass::Traces && ! $preserved => [3.0, 'Traces of water without a preservative: 3 months at most, kept cool.'],
            $water->class === WaterClass::Emulsion => [3.0, 'A preserved emulsion that has not been tested: 3 months at most.'],
            default => [INF, ''],
        };
        if ($months->best <= $cap) {
            return new self($months->atMost(min($cap, 1e6)), $reasons, false);
        }

        return new self($months->atMost($cap), [...$reasons, $why], true);
    }

    private static function oxidises(IngredientKind $kind): bool
    {
        return match ($kind) {
            IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::Butter, IngredientKind::Wax, IngredientKind::ReadySteep,
            IngredientKind::EssentialOil, IngredientKind::OilActive, IngredientKind::Emulsifier, IngredientKind::Conditioning,
            IngredientKind::Antioxidant => true,
            default => false,
        };
    }

    private static function words(Band $months): string
    {
        return sprintf('%s (%s to %s)', number_format($months->best, 0), number_format($months->low, 0), number_format($months->high, 0));
    }
}
