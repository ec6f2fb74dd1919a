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
use Crown\Words\Message;
use JsonSerializable;

/** One thing to know of a planned or running steep. */
final readonly class SteepAdvice implements JsonSerializable
{
    /** Months left from which an oil hardly outlives its steep. */
    private const SHORT = 3.0;

    /** Per cent solid from which a fat at rest hardly draws. */
    private const SETS = 10.0;

    private function __construct(public string $code, public Severity $severity, public Message $says)
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
                new Message('steep.advice.wet-oil', [
                    'oil' => $pour->oil->name,
                    'grown' => $pour->oil->provenance->inherited->grown ?? 'none',
                ]),
            ),
            $plan->charge->wetPours(),
        );
        $stands = ! $plan->timeline->method->isHeated();
        if ($plan->charge->hasFresh()) {
            $advice[] = new self('steep.fresh', Severity::Caution, new Message('steep.advice.fresh'));
        }
        if ($plan->charge->hasFresh() && $stands && ! $plan->water->isDry()) {
            $advice[] = new self('steep.fresh-cold', Severity::Stop, new Message('steep.advice.fresh-cold'));
        }
        if ($plan->charge->waterGrams > 0.0) {
            $advice[] = new self(
                'steep.water-added',
                $stands ? Severity::Stop : Severity::Caution,
                new Message('steep.advice.water-added', [
                    'grams' => Amount::number($plan->charge->waterGrams),
                    'stands' => $stands ? 'yes' : 'no',
                ]),
            );
        }

        return [...$advice, ...self::ofBowl($plan)];
    }

    /** @return list<self> what the bowl tells, or would tell */
    private static function ofBowl(SteepPlan $plan): array
    {
        $isWeighed = $plan->journal->weighings !== [];
        if ($plan->timeline->method->isHeated() && $plan->water->inGrams()->best > 0.0 && ! $isWeighed) {
            return [new self('steep.weigh-bowl', Severity::Caution, new Message('steep.advice.weigh-bowl'))];
        }
        if (! $isWeighed || $plan->water->isDry()) {
            return [];
        }
        $left = $plan->water->leftGrams();

        return [
            new self(
                'steep.water-left',
                Severity::Caution,
                new Message('steep.advice.water-left', [
                    'likely' => Amount::number(round($left->best, 1)),
                    'most' => Amount::number(round($left->high, 1)),
                ]),
            ),
        ];
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
                new Message('steep.advice.ratio-low', [
                    'ratio' => $words($plan->ratio()),
                    'least' => $words($usual->low),
                ]),
            );
        } elseif ($plan->ratio() > $usual->high && ! self::isStrong($plan)) {
            $advice[] = new self(
                'steep.ratio',
                Severity::Note,
                new Message('steep.advice.ratio-high', [
                    'ratio' => $words($plan->ratio()),
                    'most' => $words($usual->high),
                ]),
            );
        }
        foreach ($plan->charge->herbs as $herb) {
            if ($herb->preparation === Preparation::Toasted) {
                $advice[] = new self(
                    'steep.toast',
                    Severity::Caution,
                    new Message('steep.advice.toast', ['plant' => Name::inSentence($herb->plant->name)]),
                );
            }
            if ($herb->draw > 1) {
                $advice[] = new self(
                    'steep.reuse',
                    Severity::Note,
                    new Message('steep.advice.reuse', [
                        'plant' => $herb->plant->name,
                        'percent' => (int) round(100 * $herb->reach()),
                    ]),
                );
            }
        }
        $left = $plan->ageing->lifeLeftMonths();
        if ($left->low < self::SHORT) {
            $advice[] = new self(
                'steep.outlived',
                Severity::Caution,
                new Message('steep.advice.outlived', [
                    'oil' => $plan->charge->oil()->name,
                    'least' => $words($left->low),
                    'most' => $words($left->high),
                ]),
            );
        }
        foreach ($plan->charge->pours as $pour) {
            $bottle = $pour->oil->provenance->inherited->bottle;
            if ($bottle?->past === true && $bottle->useBy !== null) {
                $advice[] = new self(
                    'steep.past',
                    Severity::Stop,
                    new Message('steep.advice.past', [
                        'oil' => $pour->oil->name,
                        'day' => $bottle->useBy->format('j F Y'),
                    ]),
                );
            }
            if ($pour->oil->provenance->withdrawn !== null) {
                $advice[] = new self(
                    'steep.withdrawn',
                    Severity::Stop,
                    new Message('steep.advice.withdrawn', [
                        'oil' => $pour->oil->name,
                        'why' => $pour->oil->provenance->withdrawn,
                    ]),
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
            $advice[] = new self('steep.jar', Severity::Stop, new Message('steep.advice.jar-small'));
        } elseif ($air < $plan->geometry->wantedAirCm()) {
            $advice[] = new self(
                'steep.jar',
                Severity::Caution,
                new Message('steep.advice.jar-air', [
                    'air' => sprintf('%.1f', $air),
                    'wanted' => sprintf('%.1f', $plan->geometry->wantedAirCm()),
                    'swells' => $plan->charge->hasFresh() ? 'yes' : 'no',
                ]),
            );
        }
        if (round($cover, 1) < Geometry::LEAST_COVER) {
            $advice[] = new self('steep.cover', Severity::Caution, self::uncovered($plan, $air, $cover));
        }
        if ($plan->vessel->isNarrow()) {
            $advice[] = new self(
                'steep.mouth',
                Severity::Note,
                new Message('steep.advice.mouth'),
            );
        }

        return $advice;
    }

    /**
     * @param  float  $air over the oil, cm
     * @param  float  $cover oil over the plant, cm
     */
    private static function uncovered(SteepPlan $plan, float $air, float $cover): Message
    {
        $oil = $plan->charge->oil();
        $with = ['cover' => sprintf('%.1f', $cover), 'needed' => sprintf('%.1f', Geometry::LEAST_COVER)];
        $isFull = $air - (Geometry::LEAST_COVER - $cover) < $plan->geometry->wantedAirCm();

        return $isFull
            ? new Message('steep.advice.cover-full', $with)
            : new Message('steep.advice.cover-room', [
                ...$with,
                'grams' => Amount::number(round($plan->geometry->gramsToCover($oil) ?? 0.0)),
                'oil' => Name::inSentence($oil->name),
            ]);
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
                new Message('steep.advice.light'),
            );
        }
        if (array_filter($plan->journal->stays, static fn (Stay $s): bool => $s->method->isHeated()) !== []) {
            $advice[] = new self(
                'steep.heat',
                Severity::Caution,
                new Message('steep.advice.heat'),
            );
        }
        if ($plan->timeline->method === SteepMethod::DirectHeat) {
            $advice[] = new self(
                'steep.direct',
                Severity::Caution,
                new Message('steep.advice.direct'),
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
                new Message('steep.advice.sets', [
                    'percent' => sprintf('%.0f', $solid),
                    'celsius' => Amount::number($held),
                ]),
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
                $allergens = implode(', ', $precautions->allergens);
                $says[] = Message::said('steep.advice.allergens', ['allergens' => $allergens]);
            }
            $age = $part->facts->best(Property::MinimumAge, 0.0);
            if ($age > 0.0) {
                $says[] = rtrim(Message::said('steep.advice.age', [
                    'years' => $age,
                    'why' => $precautions->ageReason ?? '',
                ]));
            }
            if ($says !== []) {
                $grave = array_filter($cautions, static fn (Caution $c): bool => $c->kind->isGrave()) !== [];
                $advice[$part->id] = new self(
                    'steep.caution',
                    $grave ? Severity::Caution : Severity::Note,
                    new Message('steep.advice.caution', [
                        'part' => $part->name,
                        'says' => implode(' ', array_unique($says)),
                    ]),
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
                new Message('steep.advice.constituent', [
                    'percent' => Amount::number(round($percent, 2)),
                    'name' => $name,
                    'limit' => Amount::number($allowed),
                    'share' => Amount::number(max(0.1, floor(1000.0 * $allowed / $percent) / 10.0)),
                ]),
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
                new Message('steep.advice.press'),
            );
        }
        foreach ($plan->charge->pours as $pour) {
            if ($pour->oil->composition->drying) {
                $advice[] = new self(
                    'steep.rags',
                    Severity::Caution,
                    new Message('steep.advice.rags', ['oil' => $pour->oil->name]),
                );
            }
        }

        return $advice;
    }

    /** What it says, in words. */
    public function message(): string
    {
        return $this->says->words();
    }

    /** @return array{code: string, severity: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'severity' => $this->severity->value, 'message' => $this->message()];
    }
}
