<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;
use Crown\Measure\Months;
use Crown\Words\Message;
use DateTimeImmutable;

/**
 * One jar: plants in oils, where it stood and for how long, what was taken out; what comes of it and when. Method page:
 * docs/methods/steeps.md.
 *
 * It holds the jar as it is by now: a herb forgotten and added in week two has its own day, a jar moved into the sun
 * has two stays, oil taken out is a draw. What follows of it stands in its parts: its days, what is drawn, what it
 * costs the oils, how high it stands, its water, and what comes out again.
 */
final readonly class SteepPlan
{
    /** A product that is made today is good for a week, days. */
    private const LEAST_LIFE = 7;

    /** Days for which something wet may stand unheated. */
    private const STANDS_WET = 1.0;

    public Timeline $timeline;

    public Extraction $extraction;

    public Ageing $ageing;

    public Geometry $geometry;

    public WaterBalance $water;

    public Recovery $recovery;

    /**
     * @param  Band|null  $retention grams of oil kept per gram of plant, from the studio's own past steeps; null for
     *     the handbook's
     */
    public function __construct(
        public Charge $charge,
        public Journal $journal,
        public Way $way = new Way(),
        public Vessel $vessel = new Vessel(),
        public ?Band $retention = null,
    ) {
        $this->timeline = new Timeline($charge, $journal, $way);
        $this->extraction = new Extraction($charge, $this->timeline, $way);
        $this->ageing = new Ageing($charge, $this->timeline);
        $this->geometry = new Geometry($charge, $vessel, $this->oilLeftGrams() / $charge->oilGrams());
        $this->water = new WaterBalance($charge, $journal, $this->oilLeftGrams());
        $this->recovery = new Recovery($charge, $way, $this->oilLeftGrams(), $retention);
    }

    /** A jar begun on the day of its first plant. */
    public static function begun(
        Charge $charge,
        SteepMethod $method,
        Way $way = new Way(),
        Vessel $vessel = new Vessel(),
        ?Band $retention = null,
    ): self {
        return new self($charge, new Journal([new Stay($method, $charge->herbs[0]->since)]), $way, $vessel, $retention);
    }

    /** Grams of oil still in the jar. */
    public function oilLeftGrams(): float
    {
        return max(0.0, $this->charge->oilGrams() - $this->journal->drawnGrams());
    }

    /** Grams of oil still in the jar to one gram of plant. */
    public function ratio(): float
    {
        return $this->oilLeftGrams() / $this->charge->plantGrams();
    }

    /**
     * Best before, if it is ready on its day: the oils' life less the age that the steep costs, and no later than the
     * day printed on any of their bottles. None where water comes in: that it is gone is only shown by what came out.
     */
    public function bestBefore(): ?DateTimeImmutable
    {
        if ($this->water->comesIn()) {
            return null;
        }
        $days = max(self::LEAST_LIFE, Months::inDays($this->ageing->lifeLeftMonths()->low));
        $day = $this->timeline->readyDay()->modify(sprintf('+%d days', $days));
        $printed = $this->charge->printedUseBy();

        return $printed === null ? $day : min($day, $printed);
    }

    /**
     * Why microbes may have grown in it: something wet stood in it unheated for more than a day. What was drawn off or
     * settled since takes nothing of that away; null where nothing stood so.
     */
    public function grown(): ?string
    {
        foreach ($this->charge->pours as $pour) {
            if ($pour->oil->provenance->inherited->grown !== null) {
                return $pour->oil->provenance->inherited->grown;
            }
        }
        foreach ($this->charge->herbs as $herb) {
            $days = $herb->form === 'fresh' ? $this->daysUnheated($herb->since) : 0.0;
            if ($days > self::STANDS_WET) {
                $with = ['plants' => $herb->plant->name, 'days' => (int) round($days)];

                return Message::said('steep.grown.fresh', $with);
            }
        }
        $days = $this->charge->waterGrams > 0.0 ? $this->daysUnheated($this->timeline->start) : 0.0;

        return $days > self::STANDS_WET
            ? Message::said('steep.grown.water', ['days' => (int) round($days)])
            : null;
    }

    private function daysUnheated(DateTimeImmutable $since): float
    {
        $days = 0.0;
        foreach ($this->timeline->spans($since, $this->timeline->strainDay()) as $span) {
            $days += $span->method->isHeated() ? 0.0 : $span->days;
        }

        return $days;
    }

    /** @return array<string, mixed> what is to be known of it at a glance: the figures of $defs/SteepPlan */
    public function figures(): array
    {
        return [
            'oil_grams' => Band::exact($this->charge->oilGrams()),
            'ratio' => round($this->ratio(), 3),
            // Of a jar that is not known nothing is said.
            'oil_above_plant_cm' => $this->vessel->isKnown() ? $this->geometry->oilAbovePlantCm() : null,
            'headspace_cm' => $this->vessel->isKnown() ? $this->geometry->headspaceCm() : null,
            'extraction_percent' => $this->extraction->atStraining(),
            'yield_grams' => $this->recovery->yieldGrams(),
            'water_in_grams' => $this->water->inGrams(),
            'age_spent_days' => $this->ageing->spentDays(),
            'dates' => $this->dates(),
        ];
    }

    /** @return array<string, string|null> its days, as "2026-12-02"; null for a best before that cannot be told */
    public function dates(): array
    {
        return [
            'start' => $this->timeline->start->format('Y-m-d'),
            'stop_shaking' => $this->timeline->stopShaking()->format('Y-m-d'),
            'strain' => $this->timeline->strainDay()->format('Y-m-d'),
            'ready' => $this->timeline->readyDay()->format('Y-m-d'),
            'best_before' => $this->bestBefore()?->format('Y-m-d'),
        ];
    }

    /** The same charge by another way, everything else as that has it: for the table of methods. */
    public function by(SteepMethod $method): self
    {
        return new self(
            $this->charge->preparedFor($method),
            new Journal([new Stay($method, $this->timeline->start)]),
            $method === $this->timeline->method ? $this->way : $this->way->asTheMethodHasIt(),
            $this->vessel,
            $this->retention,
        );
    }

    /** The same begun on another day, nothing having happened to it yet. */
    public function startingOn(DateTimeImmutable $day): self
    {
        return new self(
            $this->charge->from($day),
            new Journal([new Stay($this->journal->stays[0]->method, $day)], [], $this->journal->weighings),
            $this->way,
            $this->vessel,
            $this->retention,
        );
    }

    /** The same standing for so many days. */
    public function standing(int $days): self
    {
        return new self($this->charge, $this->journal, $this->way->standing($days), $this->vessel, $this->retention);
    }

    /** Begun so that it is ready on a day: calendar days, not hours. */
    public function readyOn(DateTimeImmutable $wanted): self
    {
        return $this->startingOn($wanted->modify(sprintf('-%d days', $this->timeline->daysUntilReady())));
    }
}
