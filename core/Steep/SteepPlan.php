<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Measure\Band;
use Crown\Measure\Property;
use DateTimeImmutable;

/**
 * One jar: plants in oils, where it stood and for how long, what was taken out; what comes of it and when. Method page:
 * docs/methods/steeps.md.
 *
 * It holds the jar as it is by now: a herb forgotten and added in week two has its own day, a jar moved into the sun
 * has two stays, oil taken out is a draw. Nothing of that is edited away.
 */
final readonly class SteepPlan
{
    /** Oil left over the plant, and air over the oil, cm. */
    public const LEAST_COVER = 2.5;

    /** Fresh plants swell: they want more air over the oil, cm. */
    public const LEAST_AIR_FRESH = 3.5;

    /** Under this share of the oil what water is left counts as dry. */
    public const DRY = 0.001;

    public DateTimeImmutable $start;

    public SteepMethod $method;

    /**
     * @param  list<Herb>  $herbs at least one
     * @param  list<Pour>  $pours at least one
     * @param  list<Stay>  $stays at least one, in the order of their days; the first day is the start
     * @param  list<Draw>  $draws
     * @param  list<Weighing>  $weighings of the bowl, before and after heating
     * @param  float  $celsius of a heated way; 0 for the method's own
     * @param  float  $minutes of a heated way; 0 for the method's own
     * @param  int  $days it stands; 0 for the method's own
     * @param  float  $waterGrams added on purpose: a splash, a gel
     * @param  Band|null  $retention grams of oil kept per gram of plant, from the studio's own past steeps; null for
     *     the handbook's
     *
     * @throws SteepError
     */
    public function __construct(
        public array $herbs,
        public array $pours,
        public array $stays,
        public Vessel $vessel = new Vessel(),
        public bool $shakenDaily = true,
        public bool $pressed = false,
        public float $celsius = 0.0,
        public float $minutes = 0.0,
        public int $days = 0,
        public float $waterGrams = 0.0,
        public array $draws = [],
        public array $weighings = [],
        public ?Band $retention = null,
    ) {
        if ($herbs === []) {
            throw SteepError::field('herbs', 'at least one plant');
        }
        if ($pours === []) {
            throw SteepError::field('oils', 'at least one oil');
        }
        if ($stays === []) {
            throw SteepError::field('method', implode(', ', array_column(SteepMethod::cases(), 'value')));
        }
        if ($celsius < 0.0 || $celsius > 150.0 || $minutes < 0.0 || $minutes > 1440.0) {
            throw SteepError::field('celsius', 'at most 150 °C for at most a day');
        }
        if ($days < 0 || $days > 400) {
            throw SteepError::field('days', '0 (as the method has it) to 400 days');
        }
        if ($waterGrams < 0.0 || $waterGrams > 10_000.0) {
            throw SteepError::field('water_grams', '0 to 10,000 g');
        }
        $this->start = $stays[0]->from;
        $this->method = $stays[count($stays) - 1]->method;
    }

    /**
     * One plant in one oil.
     *
     * @throws SteepError
     */
    public static function of(
        Ingredient $plant,
        string $form,
        float $plantGrams,
        Ingredient $oil,
        float $oilGrams,
        SteepMethod $method,
        DateTimeImmutable $start,
        bool $shakenDaily = true,
        bool $pressed = false,
        float $jarMillilitres = 0.0,
        float $diameterCm = 0.0,
        float $celsius = 0.0,
        float $minutes = 0.0,
    ): self {
        $preparation = match (true) {
            $method === SteepMethod::BlendHeat => Preparation::Blended,
            $form === 'fresh' => Preparation::Chopped,
            default => Preparation::None,
        };

        return new self(
            [new Herb($plant, $form, $plantGrams, $start, $preparation)],
            [new Pour($oil, $oilGrams, $start)],
            [new Stay($method, $start)],
            new Vessel($jarMillilitres, $diameterCm),
            $shakenDaily,
            $pressed,
            $celsius,
            $minutes,
        );
    }

    /** The same charge by another way: for the table of methods. */
    public function by(SteepMethod $method): self
    {
        $herbs = $method === SteepMethod::BlendHeat
                ? array_map(
                    static fn (Herb $h): Herb => new Herb(
                        $h->plant,
                        $h->form,
                        $h->grams,
                        $h->since,
                        Preparation::Blended,
                        $h->draw,
                    ),
                    $this->herbs,
                )
                : $this->herbs;

        return new self(
            $herbs,
            $this->pours,
            [new Stay($method, $this->start)],
            $this->vessel,
            $this->shakenDaily,
            $this->pressed,
            0.0,
            0.0,
            0,
            $this->waterGrams,
            [],
            [],
            $this->retention,
        );
    }

    /** The same plan begun on another day. */
    public function startingOn(DateTimeImmutable $day): self
    {
        $stays = array_map(static fn (Stay $s): Stay => new Stay($s->method, $day), array_slice($this->stays, 0, 1));

        return new self(
            array_map(static fn (Herb $h): Herb => $h->from($day), $this->herbs),
            array_map(static fn (Pour $p): Pour => $p->from($day), $this->pours),
            $stays,
            $this->vessel,
            $this->shakenDaily,
            $this->pressed,
            $this->celsius,
            $this->minutes,
            $this->days,
            $this->waterGrams,
            [],
            $this->weighings,
            $this->retention,
        );
    }

    public function plantGrams(): float
    {
        return array_sum(array_map(static fn (Herb $h): float => $h->grams, $this->herbs));
    }

    /** All oil that ever went in. */
    public function oilGrams(): float
    {
        return array_sum(array_map(static fn (Pour $p): float => $p->grams, $this->pours));
    }

    public function drawnGrams(): float
    {
        return array_sum(array_map(static fn (Draw $d): float => $d->grams, $this->draws));
    }

    /** What is still in the jar. */
    public function oilLeftGrams(): float
    {
        return max(0.0, $this->oilGrams() - $this->drawnGrams());
    }

    /** The oil with the largest share: what the steep is "in". */
    public function oil(): Ingredient
    {
        $most = $this->pours[0];
        foreach ($this->pours as $pour) {
            $most = $pour->grams > $most->grams ? $pour : $most;
        }

        return $most->oil;
    }

    /** The plant with the largest mass. */
    public function plant(): Ingredient
    {
        $most = $this->herbs[0];
        foreach ($this->herbs as $herb) {
            $most = $herb->grams > $most->grams ? $herb : $most;
        }

        return $most->plant;
    }

    public function hasFresh(): bool
    {
        return array_filter($this->herbs, static fn (Herb $h): bool => $h->form === 'fresh') !== [];
    }

    public function hasFines(): bool
    {
        return array_filter($this->herbs, static fn (Herb $h): bool => $h->preparation->leavesFines($h->form)) !== [];
    }

    /** Grams of oil to one gram of plant. */
    public function ratio(): float
    {
        return $this->oilGrams() / $this->plantGrams();
    }

    /**
     * The ratio that covers without thinning the charge, share-weighted over the herbs: dried 5 to 10, powder 8 to 15,
     * fresh 2 to 4.
     */
    public function usualRatio(): Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->herbs as $herb) {
            [$l, $b, $h] = match ($herb->form) {
                'fresh' => [2.0, 3.0, 4.0],
                'powder' => [8.0, 11.0, 15.0],
                default => [5.0, 7.0, 10.0],
            };
            $share = $herb->grams / $this->plantGrams();
            [$low, $best, $high] = [$low + $share * $l, $best + $share * $b, $high + $share * $h];
        }

        return Band::of($low, $best, $high);
    }

    /** Days it stands: as the maker wants it, or as the method has it. Heated ways are done on their day. */
    public function standsDays(): int
    {
        return $this->method->isHeated()
            ? $this->method->days()
            : ($this->days > 0
                ? $this->days
                : $this->method->days());
    }

    public function strainDay(): DateTimeImmutable
    {
        return $this->start->modify(sprintf('+%d days', $this->standsDays()));
    }

    /** Two days before straining, so that it settles; the day of straining itself for heated steeps. */
    public function stopShaking(): DateTimeImmutable
    {
        return $this->method->isHeated() ? $this->strainDay() : $this->strainDay()->modify('-2 days');
    }

    /** After settling once more: two days with fines or water in it, one otherwise. */
    public function readyDay(): DateTimeImmutable
    {
        return $this->strainDay()->modify($this->hasFines() || $this->hasFresh() ? '+2 days' : '+1 day');
    }

    /** Best before, if it is ready on its day: the oils' life less the age that the steep costs. */
    public function bestBefore(): DateTimeImmutable
    {
        return $this->readyDay()->modify(
            sprintf('+%d days', (int) floor(max(7.0, $this->lifeLeftMonths()->low * SteepYield::DAYS_PER_MONTH))),
        );
    }

    /** Begun so that it is ready on a day: calendar days, not hours. */
    public function readyOn(DateTimeImmutable $wanted): self
    {
        return $this->startingOn(
            $wanted->modify(sprintf('-%d days', (int) $this->start->diff($this->readyDay())->format('%a'))),
        );
    }

    /** Per cent of what each herb will give that is drawn by a day, weighted by mass: an estimate with a wide band. */
    public function extractionOn(DateTimeImmutable $day): Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->herbs as $herb) {
            $dose = $this->dose($herb, $day);
            $share = ((100 * $herb->grams) / $this->plantGrams()) * $herb->reach();
            $low += $share * (1 - exp(-$dose / 2));
            $best += $share * (1 - exp(-$dose));
            $high += $share * (1 - exp(-$dose * 2));
        }

        return Band::of($low, $best, $high);
    }

    /** As drawn by the day of straining. */
    public function extractionPercent(): Band
    {
        return $this->extractionOn($this->strainDay());
    }

    /** k x time of one herb up to a day: its rate, doubled for every 10 K, x1.3 shaken daily, x0.8 never shaken. */
    private function dose(Herb $herb, DateTimeImmutable $day): float
    {
        $dose = 0.0;
        foreach ($this->spans($herb->since, $day) as [$method, $days]) {
            $shaking = $method->isHeated() ? 1.0 : ($this->shakenDaily ? 1.3 : 0.8);
            $dose += $herb->rate() * $shaking * 2 ** (($this->heldAt($method) - 20.0) / 10) * $days;
        }

        return $dose;
    }

    /**
     * Age that heat and light have cost the oils by a day, days at 20 °C in the dark; sun counts double; weighted by
     * mass.
     */
    public function ageOn(DateTimeImmutable $day): Band
    {
        $age = 0.0;
        foreach ($this->pours as $pour) {
            foreach ($this->spans($pour->since, $day) as [$method, $days]) {
                $age += ($pour->grams / $this->oilGrams())
                    * $days
                    * 2 ** (($this->heldAt($method) - 20.0) / 10)
                    * ($method->isInSun() ? 2.0 : 1.0);
            }
        }

        return Band::within($age, 0.3);
    }

    public function ageSpentDays(): Band
    {
        return $this->ageOn($this->strainDay());
    }

    /**
     * Months that the weakest oil of 5 % or more still has when it is strained; wide and low where a life is not known.
     */
    public function lifeLeftMonths(): Band
    {
        $life = Band::of(3.0, 6.0, 12.0);
        $found = INF;
        foreach ($this->pours as $pour) {
            if (
                $pour->grams / $this->oilGrams() >= 0.05
                && $pour->oil->facts->has(Property::LifeMonths)
                && $pour->oil->facts->best(Property::LifeMonths, 0.0) < $found
            ) {
                $life = $pour->oil->facts->get(Property::LifeMonths)->band;
                $found = $life->best;
            }
        }

        return $life->minus($this->ageSpentDays()->scaled(1 / SteepYield::DAYS_PER_MONTH))->atLeast(0.25);
    }

    /** Grams of oil kept per gram of each herb when it is strained; a herb drawn before is full already. */
    public function keptGrams(): Band
    {
        if ($this->retention !== null) {
            return $this->retention->scaled($this->plantGrams());
        }
        $kept = Band::exact(0.0);
        foreach ($this->herbs as $herb) {
            $facts = $herb->plant->factsIn($herb->form);
            $property = $this->pressed ? Property::RetentionPressed : Property::Retention;
            $retention = match (true) {
                $facts->has($property) => $facts->get($property)->band,
                $facts->has(Property::Retention) => $facts->get(Property::Retention)->band,
                default => Band::of(0.6, 1.2, 2.0),
            };
            $kept = $kept->plus($retention->scaled($herb->grams * ($herb->draw > 1 ? 0.15 : 1.0)));
        }

        return $kept;
    }

    /** Grams of oil to be had on the day of straining: what is in it less what the plant keeps. */
    public function yieldGrams(): Band
    {
        return Band::exact($this->oilLeftGrams())->minus($this->keptGrams())->atLeast(0.0);
    }

    /** Grams of water brought in: fresh mass x moisture x release, and what was added on purpose. */
    public function waterInGrams(): Band
    {
        $water = Band::exact($this->waterGrams);
        foreach ($this->herbs as $herb) {
            if ($herb->form === 'fresh') {
                $facts = $herb->plant->factsIn('fresh');
                $moisture = $facts->has(Property::Moisture)
                    ? $facts->get(Property::Moisture)->band
                    : Band::of(0.8, 0.87, 0.95);
                $release = $herb->preparation->release();
                $water = $water->plus(
                    $moisture->scaled($herb->grams)->times(Band::of(min(0.1, $release), $release, max(0.8, $release))),
                );
            }
        }

        return $water;
    }

    /** Grams driven off, as the bowl was weighed. */
    public function waterLostGrams(): float
    {
        return array_sum(array_map(static fn (Weighing $w): float => $w->lossGrams(), $this->weighings));
    }

    /** Still counted: brought in less driven off. Without the weighing all of it counts as still there. */
    public function waterLeftGrams(): Band
    {
        return $this->waterInGrams()->minus(Band::exact($this->waterLostGrams()))->atLeast(0.0);
    }

    /** Whether what water is left counts as none: under 0.1 % of the oil. */
    public function isDry(): bool
    {
        return $this->waterLeftGrams()->best < self::DRY * max(1.0, $this->oilLeftGrams());
    }

    /** cm of oil over the settled plant; 0 when the jar's measures are not known. */
    public function oilAbovePlantCm(): Band
    {
        return $this->vessel->diameterCm <= 0.0
            ? Band::exact(0.0)
            : $this->height($this->fillMillilitres())->minus($this->height($this->plantMillilitres()))->atLeast(0.0);
    }

    /** cm of air over the oil; negative when the jar is too small. */
    public function headspaceCm(): Band
    {
        return $this->vessel->diameterCm <= 0.0
            ? Band::exact(0.0)
            : $this->height(Band::exact($this->vessel->millilitres))->minus($this->height($this->fillMillilitres()));
    }

    /** cm of air that this charge wants. */
    public function wantedAirCm(): float
    {
        return $this->hasFresh() ? self::LEAST_AIR_FRESH : self::LEAST_COVER;
    }

    /**
     * Grams of an oil that would bring it 2.5 cm over the plant, worst case of how the herb settles; 0 when the jar is
     * not known.
     */
    public function gramsToCover(Ingredient $oil): float
    {
        if ($this->vessel->diameterCm <= 0.0) {
            return 0.0;
        }
        $whole = $this->plantMillilitres()->best + self::LEAST_COVER * $this->vessel->areaCm2();
        $wanted = $whole - $this->matterMillilitres();
        $there = array_sum(
            array_map(
                static fn (Pour $p): float => $p->grams / $p->oil->facts->best(Property::Density20, 0.92),
                $this->pours,
            ),
        );

        return max(0.0, ($wanted - $there) * $oil->facts->best(Property::Density20, 0.92));
    }

    /**
     * Stretches of time from one day to another: which method held, and for how many days. A heated way counts its
     * minutes once.
     *
     * @return list<array{SteepMethod, float}>
     */
    private function spans(DateTimeImmutable $from, DateTimeImmutable $to): array
    {
        $spans = [];
        foreach ($this->stays as $i => $stay) {
            $begins = max($stay->from, $from);
            $ends = min($this->stays[$i + 1]->from ?? $to, $to);
            if ($stay->method->isHeated()) {
                // What is in the jar on the day of heating is heated; what comes later is not.
                if ($from <= $stay->from && $to >= $stay->from) {
                    $spans[] = [$stay->method, $this->heldMinutes($stay->method) / 1440];
                }
            } elseif ($ends > $begins) {
                $spans[] = [$stay->method, (float) $begins->diff($ends)->format('%a')];
            }
        }

        return $spans;
    }

    private function heldAt(SteepMethod $method): float
    {
        return $method->isHeated() && $this->celsius > 0.0 ? $this->celsius : $method->celsius();
    }

    private function heldMinutes(SteepMethod $method): float
    {
        return $this->minutes > 0.0 ? $this->minutes : $method->minutes();
    }

    /** Volume of the settled plants with their gaps, ml. */
    private function plantMillilitres(): Band
    {
        $volume = Band::exact(0.0);
        foreach ($this->herbs as $herb) {
            $facts = $herb->plant->factsIn($herb->form);
            $bulk = $facts->has(Property::BulkDensity)
                ? $facts->get(Property::BulkDensity)->band
                : Band::of(0.12, 0.2, 0.3);
            $volume = $volume->plus(Band::exact($herb->grams)->over($bulk));
        }

        return $volume;
    }

    /** The solid matter of the plants themselves: about 1.2 g/ml dry, 1.0 fresh. */
    private function matterMillilitres(): float
    {
        return array_sum(
            array_map(static fn (Herb $h): float => $h->grams / ($h->form === 'fresh' ? 1.0 : 1.2), $this->herbs),
        );
    }

    /** Oil still in it and the solid matter of the plants, ml. */
    private function fillMillilitres(): Band
    {
        $oil = array_sum(
            array_map(
                static fn (Pour $p): float => $p->grams / $p->oil->facts->best(Property::Density20, 0.92),
                $this->pours,
            ),
        );
        $left = $this->oilGrams() > 0.0 ? $this->oilLeftGrams() / $this->oilGrams() : 0.0;

        return Band::within($oil * $left + $this->matterMillilitres() + $this->waterGrams, 0.05);
    }

    private function height(Band $millilitres): Band
    {
        return $millilitres->scaled(1 / $this->vessel->areaCm2());
    }
}
