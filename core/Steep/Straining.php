<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Number;
use Crown\Measure\Tools;
use Crown\Measure\Weave;
use Crown\Words\Message;

/**
 * How a steep is strained, step by step, from its particle size, its water and its jar. Method page:
 * docs/methods/straining.md.
 */
final class Straining
{
    /** Per cent solid at room temperature, °C, from which an oil is strained warm. */
    private const SET = 10.0;

    private const ROOM = 21.0;

    /**
     * @param  Tools|null  $own what the maker strains with, as far as it is known
     * @return list<StrainStep> in their order
     */
    public static function steps(SteepPlan $plan, ?Tools $own = null): array
    {
        $steps = [
            new StrainStep(
                'bowl',
                $plan->vessel->isNarrow()
                    ? new Message('steep.strain.bowl-narrow')
                    : new Message('steep.strain.bowl'),
                [new Message('steep.strain.bowl-why')],
            ),
            self::settling($plan),
        ];
        if ($plan->charge->hasFines() && self::settles($plan)) {
            $steps[] = new StrainStep(
                'pour',
                new Message('steep.strain.pour'),
                [new Message('steep.strain.pour-why')],
            );
        }
        $steps[] = self::withOwn(self::cloth($plan), $plan, $own ?? new Tools());
        $steps[] = self::pressing($plan);
        $steps[] = new StrainStep(
            'weigh',
            new Message('steep.strain.weigh'),
            [
                new Message('steep.strain.weigh-why', [
                    'likely' => Number::shown($plan->recovery->yieldGrams()->best, 0),
                    'least' => Number::shown($plan->recovery->yieldGrams()->low, 0),
                    'most' => Number::shown($plan->recovery->yieldGrams()->high, 0),
                ]),
            ],
        );
        if (! $plan->water->isDry()) {
            $steps[] = new StrainStep(
                'water',
                new Message('steep.strain.water'),
                [new Message('steep.strain.water-why')],
            );
        }
        $steps[] = new StrainStep(
            'bottle',
            new Message('steep.strain.bottle'),
            [new Message('steep.strain.bottle-why')],
        );
        $steps[] = new StrainStep(
            'herb',
            max([1, ...array_map(static fn (Herb $h): int => $h->draw, $plan->charge->herbs)]) < Herb::MOST_DRAWS
            && ! $plan->charge->hasFresh()
                ? new Message('steep.strain.herb-keep')
                : new Message('steep.strain.herb-compost'),
            [new Message('steep.strain.herb-why')],
        );

        return $steps;
    }

    /** The whole in one sentence, for the plan. */
    public static function inShort(SteepPlan $plan): string
    {
        $cloth = self::cloth($plan);
        $settle = self::settling($plan);

        return implode(' ', array_map(
            static fn (StrainStep $step): string => $step->does->words(),
            [$settle, $cloth, self::pressing($plan)],
        ));
    }

    private static function settling(SteepPlan $plan): StrainStep
    {
        return match (true) {
            $plan->charge->hasFresh() && $plan->timeline->method->isHeated() => new StrainStep(
                'settle',
                new Message('steep.strain.settle-fresh-warm'),
                [new Message('steep.strain.settle-fresh-warm-why')],
                0,
                0,
            ),
            $plan->charge->hasFresh() => new StrainStep(
                'settle',
                new Message('steep.strain.settle-fresh'),
                [new Message('steep.strain.settle-fresh-why')],
                12,
                24,
            ),
            self::isSet($plan) => new StrainStep(
                'settle',
                new Message('steep.strain.settle-set'),
                [new Message('steep.strain.settle-set-why')],
                0,
                0,
            ),
            $plan->charge->hasFines() => new StrainStep(
                'settle',
                new Message('steep.strain.settle-fines'),
                [new Message('steep.strain.settle-fines-why')],
                36,
                48,
            ),
            $plan->timeline->method->isHeated() => new StrainStep(
                'settle',
                new Message('steep.strain.settle-warm'),
                [new Message('steep.strain.settle-warm-why')],
                0,
                0,
            ),
            default => new StrainStep(
                'settle',
                new Message('steep.strain.settle'),
                [new Message('steep.strain.settle-why')],
                0,
                0,
            ),
        };
    }

    /** Whether it is left to settle: what is fresh or set at room temperature is not. */
    private static function settles(SteepPlan $plan): bool
    {
        return ! $plan->charge->hasFresh() && ! self::isSet($plan);
    }

    private static function isSet(SteepPlan $plan): bool
    {
        return $plan->charge->solidPercent(self::ROOM) >= self::SET;
    }

    private static function cloth(SteepPlan $plan): StrainStep
    {
        return match (true) {
            $plan->charge->hasFines() => new StrainStep(
                'filter',
                new Message('steep.strain.filter-fines'),
                [new Message('steep.strain.filter-fines-why')],
            ),
            self::isBagged($plan) => new StrainStep(
                'filter',
                new Message('steep.strain.filter-bag'),
                [new Message('steep.strain.filter-bag-why')],
            ),
            self::isCoarse($plan) => new StrainStep(
                'filter',
                new Message('steep.strain.filter-coarse'),
                [new Message('steep.strain.filter-coarse-why')],
            ),
            default => new StrainStep(
                'filter',
                new Message('steep.strain.filter'),
                [new Message('steep.strain.filter-why')],
            ),
        };
    }

    /** Names the strainer of hers that will do; says so where none of them will. */
    private static function withOwn(StrainStep $step, SteepPlan $plan, Tools $own): StrainStep
    {
        $weave = self::weave($plan);
        if ($weave === null || $own->strainers === []) {
            return $step;
        }
        $fits = $own->strainerFor($weave);
        $own = $fits === null
            ? new Message('steep.strain.own-none')
            : new Message('steep.strain.own', ['strainer' => $fits->name]);

        return new StrainStep(
            $step->id,
            $step->does,
            [...$step->why, $own],
            $step->fewestHours,
            $step->mostHours,
        );
    }

    /** The coarsest that holds what is in the jar; null where it is in a bag already. */
    private static function weave(SteepPlan $plan): ?Weave
    {
        return match (true) {
            $plan->charge->hasFines() => Weave::Paper,
            self::isBagged($plan) => null,
            self::isCoarse($plan) => Weave::Coarse,
            default => Weave::Cloth,
        };
    }

    private static function isCoarse(SteepPlan $plan): bool
    {
        $small = array_filter(
            $plan->charge->herbs,
            static fn (Herb $h): bool => $h->form !== 'seed'
                && ! ($h->form === 'dried' && $h->preparation === Preparation::None),
        );

        return $small === [];
    }

    private static function pressing(SteepPlan $plan): StrainStep
    {
        if ($plan->charge->hasFresh() || $plan->charge->hasFines()) {
            return new StrainStep(
                'press',
                new Message('steep.strain.press-not'),
                [new Message('steep.strain.press-not-why')],
            );
        }

        return $plan->way->pressed
            ? new StrainStep(
                'press',
                new Message('steep.strain.press'),
                [new Message('steep.strain.press-why')],
            )
            : new StrainStep(
                'press',
                new Message('steep.strain.drip'),
                [new Message('steep.strain.drip-why')],
            );
    }

    private static function isBagged(SteepPlan $plan): bool
    {
        $bagged = static fn (Herb $herb): bool => $herb->preparation === Preparation::Bagged;

        return array_filter($plan->charge->herbs, $bagged) !== [];
    }
}
