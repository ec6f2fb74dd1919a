<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Assessment\Severity;
use Crown\Catalogue\Advice;
use Crown\Catalogue\Caution;
use Crown\Catalogue\ConstituentLimit;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;
use Crown\Measure\Amount;
use Crown\Measure\Property;
use JsonSerializable;

/** One thing to know of a planned or running steep. */
final readonly class SteepAdvice implements JsonSerializable
{
    /** Months left from which an oil hardly outlives its steep. */
    private const SHORT = 3.0;

    /** Per cent solid from which a fat at rest hardly draws. */
    private const SETS = 10.0;

    private function __construct(public string $code, public Severity $severity, public string $message)
    {
    }

    /**
     * What is still to be known of a jar that was strained or given up: what is in its oil, not how it should stand.
     *
     * @param  array<string, ConstituentLimit>  $limits of the catalogue
     * @return list<self> worst first
     */
    public static function after(SteepPlan $plan, array $limits): array
    {
        return array_values(
            array_filter(
                self::on($plan, $limits),
                static fn (self $a): bool => in_array(
                    $a->code,
                    ['steep.caution', 'steep.withdrawn', 'steep.rags', 'steep.wet-oil', 'steep.constituent'],
                    true,
                ),
            ),
        );
    }

    /**
     * @param  array<string, ConstituentLimit>  $limits of the catalogue
     * @return list<self> worst first
     */
    public static function on(SteepPlan $plan, array $limits): array
    {
        $advice = [
            ...self::ofWater($plan),
            ...self::ofCharge($plan),
            ...self::ofJar($plan),
            ...self::ofHeatAndLight($plan),
            ...self::ofHands($plan),
            ...self::ofSolidFat($plan),
            ...self::ofWhatIsKnown($plan),
            ...self::ofConstituents($plan, $limits),
        ];
        usort($advice, static fn (self $a, self $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $advice;
    }

    /** @return list<self> */
    private static function ofWater(SteepPlan $plan): array
    {
        $advice = array_map(
            static fn (Pour $pour): self => new self(
                'steep.wet-oil',
                Severity::Stop,
                sprintf(
                    '%s bears water%s A wet oil steeped again stays wet, and nothing keeps in it: take a dry one.',
                    $pour->oil->name,
                    $pour->oil->provenance->inherited->grown === null
                        ? '.'
                        : ': '.lcfirst($pour->oil->provenance->inherited->grown),
                ),
            ),
            $plan->charge->wetPours(),
        );
        if ($plan->charge->hasFresh()) {
            $advice[] = new self(
                'steep.fresh',
                Severity::Caution,
                'A fresh plant under oil brings water and, at room temperature, can grow dangerous microbes. Dry it '
                    .'first: spread it thinly in the shade for days, until a leaf crumbles and a stem snaps. Or wilt '
                    .'it: 12 to 24 hours, until it is limp and a third lighter, then a water bath, weighing the bowl '
                    .'before and after. Never eat it.',
            );
            if (! $plan->timeline->method->isHeated() && ! $plan->water->isDry()) {
                $advice[] = new self(
                    'steep.fresh-cold',
                    Severity::Stop,
                    'Do not leave a fresh plant under oil for weeks: dry it first, or use the water bath.',
                );
            }
        }
        if ($plan->charge->waterGrams > 0.0) {
            $stands = ! $plan->timeline->method->isHeated();
            $advice[] = new self(
                'steep.water-added',
                $stands ? Severity::Stop : Severity::Caution,
                sprintf(
                    '%s g of water or gel go in on purpose. It draws nothing into oil that stays; all of it counts '
                        .'until the bowl shows it gone.%s',
                    Amount::number($plan->charge->waterGrams),
                    $stands ? ' Over days it spoils the oil: leave it out.' : '',
                ),
            );
        }
        if (
            $plan->timeline->method->isHeated()
            && $plan->water->inGrams()->best > 0.0
            && $plan->journal->weighings === []
        ) {
            $advice[] = new self(
                'steep.weigh-bowl',
                Severity::Caution,
                'Weigh the bowl before and after heating: oil does not evaporate at these temperatures, so the loss is '
                    .'water driven off. Without it all the water counts as still there.',
            );
        }
        if ($plan->journal->weighings !== [] && ! $plan->water->isDry()) {
            $advice[] = new self(
                'steep.water-left',
                Severity::Caution,
                sprintf(
                    'By the weighing about %s g of water are still in it, %s at worst. Heat on for ten minutes and '
                        .'weigh again: no further loss shows it dry, and so does a scale of 0.1 g. Or treat it as wet.',
                    Amount::number(round($plan->water->leftGrams()->best, 1)),
                    Amount::number(round($plan->water->leftGrams()->high, 1)),
                ),
            );
        }

        return $advice;
    }

    /** @return list<self> */
    private static function ofCharge(SteepPlan $plan): array
    {
        $advice = [];
        $usual = $plan->charge->usualRatio();
        $words = static fn (float $x): string => Amount::number(round($x, 1));
        $cover = $plan->geometry->oilAbovePlantCm()?->best;
        // Where it is known how high the oil stands, that says whether it covers.
        $known = $cover !== null && $plan->vessel->isKnown();
        if ($plan->ratio() < $usual->low && ! $known && ! $plan->geometry->covers()) {
            $advice[] = new self(
                'steep.ratio',
                Severity::Caution,
                sprintf(
                    '1 part to %s of oil is less than 1 to %s: the plant will not be covered.',
                    $words($plan->ratio()),
                    $words($usual->low),
                ),
            );
        } elseif ($plan->ratio() > $usual->high && ! self::isStrong($plan)) {
            $advice[] = new self(
                'steep.ratio',
                Severity::Note,
                sprintf(
                    '1 part to %s of oil is more than 1 to %s: the charge is thin.',
                    $words($plan->ratio()),
                    $words($usual->high),
                ),
            );
        }
        foreach ($plan->charge->herbs as $herb) {
            if ($herb->preparation === Preparation::Toasted) {
                $advice[] = new self(
                    'steep.toast',
                    Severity::Caution,
                    sprintf(
                        'Toasting %s: seconds matter. Off the heat at the first wisp of smoke; what has burnt smells '
                            .'burnt for good.',
                        Name::inSentence($herb->plant->name),
                    ),
                );
            }
            if ($herb->draw > 1) {
                $advice[] = new self(
                    'steep.reuse',
                    Severity::Note,
                    sprintf(
                        '%s was drawn before: this draw gives about %d %% of the first.',
                        $herb->plant->name,
                        (int) round(100 * $herb->reach()),
                    ),
                );
            }
        }
        $left = $plan->ageing->lifeLeftMonths();
        if ($left->low < self::SHORT) {
            $advice[] = new self(
                'steep.outlived',
                Severity::Caution,
                sprintf(
                    '%s will hardly outlive this steep: %s to %s months are left of it. A shorter way, or an oil that '
                        .'keeps longer, is better.',
                    $plan->charge->oil()->name,
                    $words($left->low),
                    $words($left->high),
                ),
            );
        }
        foreach ($plan->charge->pours as $pour) {
            $bottle = $pour->oil->provenance->inherited->bottle;
            if ($bottle?->past === true && $bottle->useBy !== null) {
                $advice[] = new self(
                    'steep.past',
                    Severity::Stop,
                    sprintf(
                        '%s on the shelf was to be used by %s: take a fresh one.',
                        $pour->oil->name,
                        $bottle->useBy->format('j F Y'),
                    ),
                );
            }
            if ($pour->oil->provenance->withdrawn !== null) {
                $advice[] = new self(
                    'steep.withdrawn',
                    Severity::Stop,
                    sprintf('%s must not be used: %s', $pour->oil->name, $pour->oil->provenance->withdrawn),
                );
            }
        }

        return $advice;
    }

    /** @return list<self> */
    private static function ofJar(SteepPlan $plan): array
    {
        $air = $plan->geometry->headspaceCm()?->best;
        $cover = $plan->geometry->oilAbovePlantCm()?->best;
        if (! $plan->vessel->isKnown() || $air === null || $cover === null) {
            return [];
        }
        $advice = [];
        if ($air < 0.0) {
            $advice[] = new self('steep.jar', Severity::Stop, 'The jar is too small for this much plant and oil.');
        } elseif ($air < $plan->geometry->wantedAirCm()) {
            $advice[] = new self(
                'steep.jar',
                Severity::Caution,
                sprintf(
                    'Only %.1f cm of air over the oil; leave %.1f cm%s.',
                    $air,
                    $plan->geometry->wantedAirCm(),
                    $plan->charge->hasFresh() ? ', for a fresh plant swells' : '',
                ),
            );
        }
        if (round($cover, 1) < Geometry::LEAST_COVER) {
            $more = $plan->geometry->gramsToCover($plan->charge->oil()) ?? 0.0;
            $rises = Geometry::LEAST_COVER - $cover;
            $advice[] = new self(
                'steep.cover',
                Severity::Caution,
                sprintf('Only %.1f cm of oil over the plant; it needs %.1f cm. ', $cover, Geometry::LEAST_COVER)
                    .($air - $rises < $plan->geometry->wantedAirCm()
                        ? 'The jar has no room for more: a bigger jar, or less plant.'
                        : sprintf(
                            'About %s g more of %s would cover it.',
                            Amount::number(round($more)),
                            Name::inSentence($plan->charge->oil()->name),
                        )),
            );
        }
        if ($plan->vessel->isNarrow()) {
            $advice[] = new self(
                'steep.mouth',
                Severity::Note,
                'The jar\'s mouth is narrow: strain into a wide bowl or jug, then fill the bottle through a funnel.',
            );
        }

        return $advice;
    }

    /** @return list<self> */
    private static function ofHeatAndLight(SteepPlan $plan): array
    {
        $advice = [];
        $sun = array_filter($plan->journal->stays, static fn (Stay $s): bool => $s->method->isInSun()) !== [];
        if ($sun) {
            $advice[] = new self(
                'steep.light',
                $plan->charge->oil()->composition->fattyAcids->polyunsaturated() > 40.0
                    ? Severity::Caution
                    : Severity::Note,
                'Light oxidises oil: the weeks on the sill count double against its life.',
            );
        }
        if (array_filter($plan->journal->stays, static fn (Stay $s): bool => $s->method->isHeated()) !== []) {
            $advice[] = new self(
                'steep.heat',
                Severity::Caution,
                'Hot oil and steam burn. Never leave oil on heat, keep every drop of water out of it, and warm a cold '
                    .'jar slowly: it cracks in boiling water.',
            );
        }
        if ($plan->timeline->method === SteepMethod::DirectHeat) {
            $advice[] = new self(
                'steep.direct',
                Severity::Caution,
                'Direct heat burns a herb in seconds and an oil in minutes: lowest flame, stirring without a pause, '
                    .'off at the first smoke. The water bath does the same with less risk.',
            );
        }

        return $advice;
    }

    /** @return list<self> */
    private static function ofSolidFat(SteepPlan $plan): array
    {
        $held = $plan->timeline->heldAt();
        $solid = $plan->charge->solidPercent($held);
        if ($solid < self::SETS) {
            return [];
        }

        return [
            new self(
                'steep.sets',
                Severity::Caution,
                sprintf(
                    'About %.0f %% of the oil is solid at %s °C, and what is set draws nothing. Hold it warmer, or '
                        .'take the water bath.',
                    $solid,
                    Amount::number($held),
                ),
            ),
        ];
    }

    /**
     * What the catalogue warns of in the plants and oils: drawn into the oil, it is in the oil.
     *
     * @return list<self>
     */
    private static function ofWhatIsKnown(SteepPlan $plan): array
    {
        $advice = [];
        $parts = [
            ...array_map(static fn (Herb $h): Ingredient => $h->plant, $plan->charge->herbs),
            ...array_map(static fn (Pour $p): Ingredient => $p->oil, $plan->charge->pours),
        ];
        foreach ($parts as $part) {
            $precautions = $part->precautions;
            $cautions = $precautions->warnings();
            $says = array_map(static fn (Caution $c): string => $c->says, $cautions);
            if ($precautions->pregnancy !== Advice::Ok) {
                $says[] = rtrim($precautions->pregnancy->words().' '.$precautions->pregnancyReason);
            }
            if ($precautions->allergens !== []) {
                $says[] = sprintf('It holds %s: ask before giving it away.', implode(', ', $precautions->allergens));
            }
            $age = $part->facts->best(Property::MinimumAge, 0.0);
            if ($age > 0.0) {
                $says[] = rtrim(sprintf('Not for children under %g. %s', $age, $precautions->ageReason));
            }
            if ($says !== []) {
                $grave = array_filter($cautions, static fn (Caution $c): bool => $c->kind->isGrave()) !== [];
                $advice[$part->id] = new self(
                    'steep.caution',
                    $grave ? Severity::Caution : Severity::Note,
                    sprintf('%s: %s', $part->name, lcfirst(implode(' ', array_unique($says)))),
                );
            }
        }

        return array_values($advice);
    }

    /**
     * What law or sense holds to a share on skin, if all of it went over into the oil, and how far that is to be
     * thinned.
     *
     * @param  array<string, ConstituentLimit>  $limits
     * @return list<self>
     */
    private static function ofConstituents(SteepPlan $plan, array $limits): array
    {
        $advice = [];
        foreach ($limits as $name => $limit) {
            $percent = 0.0;
            foreach ($plan->charge->herbs as $herb) {
                $fact = $herb->plant->composition->constituents[$name] ?? null;
                $held = $fact === null ? 0.0 : $fact->band->high;
                $percent += $held * $herb->grams * $herb->reach() / $plan->charge->oilGrams();
            }
            $allowed = $limit->allowedFor(false);
            if ($percent <= $allowed) {
                continue;
            }
            $advice[] = new self(
                'steep.constituent',
                Severity::Caution,
                sprintf(
                    'It may hold %s %% of %s at worst; on skin its limit is %s %%. Let it be at most %s %% of what it '
                        .'goes into.',
                    Amount::number(round($percent, 2)),
                    $name,
                    Amount::number($allowed),
                    Amount::number(max(0.1, floor(1000.0 * $allowed / $percent) / 10.0)),
                ),
            );
        }

        return $advice;
    }

    /** Whether what its plants bear is held to a limit on skin: then a thin charge is no fault. */
    private static function isStrong(SteepPlan $plan): bool
    {
        foreach ($plan->charge->herbs as $herb) {
            if ($herb->plant->composition->constituents !== []) {
                return true;
            }
        }

        return false;
    }

    /** @return list<self> */
    private static function ofHands(SteepPlan $plan): array
    {
        $advice = [];
        if ($plan->way->pressed && ($plan->charge->hasFresh() || $plan->charge->hasFines())) {
            $advice[] = new self(
                'steep.press',
                Severity::Caution,
                'Pressing a fresh or powdered charge drives water and fines through. Let it drip.',
            );
        }
        foreach ($plan->charge->pours as $pour) {
            if ($pour->oil->composition->drying) {
                $advice[] = new self(
                    'steep.rags',
                    Severity::Caution,
                    sprintf(
                        '%s dries in air: cloths soaked with it can heat themselves. Wash them at once.',
                        $pour->oil->name,
                    ),
                );
            }
        }

        return $advice;
    }

    /** @return array{code: string, severity: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'severity' => $this->severity->value, 'message' => $this->message];
    }
}
