<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Tools;
use Crown\Measure\Weave;

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
                    ? 'Set out a wide bowl or jug: the jar\'s mouth is too narrow to strain into.'
                    : 'Set out a wide bowl or jug to strain into.',
                'A narrow bottle is filled through a funnel afterwards, and nothing runs down its side.',
            ),
            self::settling($plan),
        ];
        if ($plan->charge->hasFines() && self::settles($plan)) {
            $steps[] = new StrainStep(
                'pour',
                'Pour the clear oil off the top, slowly, and stop when the first cloud comes.',
                'The fines lie at the bottom; what was settled stays settled only while it is not shaken.',
            );
        }
        $steps[] = self::withOwn(self::cloth($plan), $plan, $own ?? new Tools());
        $steps[] = self::pressing($plan);
        $steps[] = new StrainStep(
            'weigh',
            'Weigh what came out.',
            sprintf(
                'Foretold: %d g, between %d and %d. What stays in the herb is what you learn from.',
                round($plan->recovery->yieldGrams()->best),
                round($plan->recovery->yieldGrams()->low),
                round($plan->recovery->yieldGrams()->high),
            ),
        );
        if (! $plan->water->isDry()) {
            $steps[] = new StrainStep(
                'water',
                'Look for water: let it stand in a glass. Drops or a cloudy layer at the bottom are water, a brown '
                    .'powder is sediment.',
                'Water was brought in and not shown driven off. Leave the last centimetre behind, or freeze it and '
                    .'pour the oil off, or treat the lot as bearing water.',
            );
        }
        $steps[] = new StrainStep(
            'bottle',
            'Fill a dry bottle through a funnel, and label it.',
            'Wet glass puts the water back.',
        );
        $steps[] = new StrainStep(
            'herb',
            max([1, ...array_map(static fn (Herb $h): int => $h->draw, $plan->charge->herbs)]) < Herb::MOST_DRAWS
            && ! $plan->charge->hasFresh()
                ? 'Keep the herb for another draw today, or compost it.'
                : 'Compost the herb.',
            'A second draw gives about half of the first, a third a quarter; a wet herb does not keep.',
        );

        return $steps;
    }

    /** The whole in one sentence, for the plan. */
    public static function inShort(SteepPlan $plan): string
    {
        $cloth = self::cloth($plan);
        $settle = self::settling($plan);

        return implode(' ', [$settle->does, $cloth->does, self::pressing($plan)->does]);
    }

    private static function settling(SteepPlan $plan): StrainStep
    {
        return match (true) {
            $plan->charge->hasFresh() && $plan->timeline->method->isHeated() => new StrainStep(
                'settle',
                'Strain it warm, the same day. It does not stand at room temperature.',
                'A fresh plant gives water for as long as it lies in the oil, and things grow in it.',
                0,
                0,
            ),
            $plan->charge->hasFresh() => new StrainStep(
                'settle',
                'Lift the plant out at once, and let the oil stand in the fridge for half a day.',
                'Water sinks; the last centimetre is left behind.',
                12,
                24,
            ),
            self::isSet($plan) => new StrainStep(
                'settle',
                'Warm it until it is liquid, and strain it warm.',
                'This fat is set at room temperature; nothing runs through a cloth then.',
                0,
                0,
            ),
            $plan->charge->hasFines() => new StrainStep(
                'settle',
                'Let it settle untouched for 36 to 48 hours.',
                'Powder goes straight through a strainer; it has to lie down first.',
                36,
                48,
            ),
            $plan->timeline->method->isHeated() => new StrainStep(
                'settle',
                'Let it cool until it is lukewarm, then strain it.',
                'Warm oil runs through a cloth more easily, and burns nobody.',
                0,
                0,
            ),
            default => new StrainStep(
                'settle',
                'Strain it after two days without a shake.',
                'What floats comes down.',
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
                'Filter the rest through paper or a double cloth. Never a stocking or a coarse sieve: powder goes '
                    .'straight through.',
                'The fines are finer than any weave but paper.',
            ),
            self::isBagged($plan) => new StrainStep(
                'filter',
                'Lift the bag out and let it drip.',
                'The powder stayed in its bag; press it and it does not.',
            ),
            self::isCoarse($plan) => new StrainStep('filter', 'A strainer is enough.', 'The pieces are coarse.'),
            default => new StrainStep(
                'filter',
                'Strain through a cloth, gently.',
                'Cut herb has small pieces that a strainer lets through.',
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

        return new StrainStep(
            $step->id,
            $step->does,
            $step->why
                .($fits === null ? ' None of your strainers is fine enough.' : sprintf(' Yours: %s.', $fits->name)),
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
            return new StrainStep('press', 'Do not press: let it drip.', 'Pressing drives water and fines through.');
        }

        return $plan->way->pressed
            ? new StrainStep(
                'press',
                'Press it, gently, for the last of it.',
                'A third of the oil stays in a dry herb that only drips.',
            )
            : new StrainStep(
                'press',
                'Let it drip for an hour.',
                'Pressing would give about half of what stays behind; you chose not to.',
            );
    }

    private static function isBagged(SteepPlan $plan): bool
    {
        $bagged = static fn (Herb $herb): bool => $herb->preparation === Preparation::Bagged;

        return array_filter($plan->charge->herbs, $bagged) !== [];
    }
}
