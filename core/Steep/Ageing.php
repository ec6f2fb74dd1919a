<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Assessment\ShelfLife;
use Crown\Measure\Band;
use Crown\Measure\Months;
use Crown\Measure\Property;
use Crown\Measure\Temperature;
use DateTimeImmutable;

/** What a steep costs its oils of their life. Method page: docs/methods/steeps.md. */
final readonly class Ageing
{
    /** Light ages as time does, so many times as fast. */
    private const IN_SUN = 2.0;

    private const WITHIN = 0.3;

    /** Months of an oil whose life is not known: wide and low. */
    private const UNKNOWN_LIFE = [3.0, 6.0, 12.0];

    /** Nothing is called dead before it was tried, months. */
    private const LEAST_LEFT = 0.25;

    public function __construct(private Charge $charge, private Timeline $timeline)
    {
    }

    /** Days at 20 °C in the dark that heat and light have cost by a day, each oil weighted by its mass. */
    public function on(DateTimeImmutable $day): Band
    {
        $age = 0.0;
        foreach ($this->charge->pours as $pour) {
            foreach ($this->timeline->spans($pour->since, $day) as $span) {
                $age += ($pour->grams / $this->charge->oilGrams())
                    * $span->days
                    * Temperature::speed($span->celsius)
                    * ($span->method->isInSun() ? self::IN_SUN : 1.0);
            }
        }

        return Band::within($age, self::WITHIN);
    }

    /** Days by the day of straining. */
    public function spentDays(): Band
    {
        return $this->on($this->timeline->strainDay());
    }

    /** Months that the weakest oil of 5 % or more still has when it is strained. */
    public function lifeLeftMonths(): Band
    {
        $life = Band::of(...self::UNKNOWN_LIFE);
        $least = INF;
        foreach ($this->charge->pours as $pour) {
            $counts = $pour->grams / $this->charge->oilGrams() >= ShelfLife::COUNTS_ALONE;
            if ($counts && $pour->oil->facts->best(Property::LifeMonths, INF) < $least) {
                $life = $pour->oil->facts->get(Property::LifeMonths)->band;
                $least = $life->best;
            }
        }

        return $life->minus($this->spentDays()->scaled(1 / Months::DAYS))->atLeast(self::LEAST_LEFT);
    }
}
