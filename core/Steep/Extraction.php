<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;
use Crown\Measure\Temperature;
use DateTimeImmutable;

/**
 * How much of what its herbs will give is drawn: an estimate with a wide band. Method page: docs/methods/steeps.md.
 */
final readonly class Extraction
{
    /** On the rate: a jar shaken daily, and one never shaken. */
    private const SHAKEN = 1.3;

    private const NOT_SHAKEN = 0.8;

    /** The rate may be so many times smaller or larger. */
    private const WITHIN = 2.0;

    public function __construct(private Charge $charge, private Timeline $timeline, private Way $way)
    {
    }

    /** Per cent by a day, each herb weighted by its mass. */
    public function on(DateTimeImmutable $day): Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->charge->herbs as $herb) {
            $dose = $this->dose($herb, $day);
            $share = ((100 * $herb->grams) / $this->charge->plantGrams()) * $herb->reach();
            $low += $share * (1 - exp(-$dose / self::WITHIN));
            $best += $share * (1 - exp(-$dose));
            $high += $share * (1 - exp(-$dose * self::WITHIN));
        }

        return Band::of($low, $best, $high);
    }

    /** Per cent by the day of straining. */
    public function atStraining(): Band
    {
        return $this->on($this->timeline->strainDay());
    }

    /**
     * Rate x time of one herb up to a day: its rate doubles for every 10 K, grows with shaking, and only what is liquid
     * of the oil draws.
     */
    private function dose(Herb $herb, DateTimeImmutable $day): float
    {
        $dose = 0.0;
        foreach ($this->timeline->spans($herb->since, $day) as $span) {
            $shaking = match (true) {
                $this->way->shakenDaily => self::SHAKEN,
                $this->way->shakenSometimes => 1.0,
                default => self::NOT_SHAKEN,
            };
            $dose += $herb->rate()
                * ($span->method->isHeated() ? 1.0 : $shaking)
                * Temperature::speed($span->celsius)
                * (1 - $this->charge->solidPercent($span->celsius) / 100)
                * $span->days;
        }

        return $dose;
    }
}
