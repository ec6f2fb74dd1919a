<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;
use Crown\Measure\Property;

/** Water that comes into a jar, and what is left of it. Method page: docs/methods/water.md. */
final readonly class WaterBalance
{
    /** Under this share of the oil what water is left counts as dry. */
    public const DRY = 0.001;

    /** Water in a fresh plant where it is not known, as a share of its mass. */
    private const MOISTURE = [0.8, 0.87, 0.95];

    /** Share of its water that a plant gives up at least and at most, however it was prepared. */
    private const LEAST_RELEASE = 0.1;

    private const MOST_RELEASE = 0.8;

    /** @param  float  $oilLeftGrams still in the jar */
    public function __construct(private Charge $charge, private Journal $journal, private float $oilLeftGrams)
    {
    }

    /** Grams brought in: fresh mass x moisture x release, and what was added on purpose. */
    public function inGrams(): Band
    {
        $water = Band::exact($this->charge->waterGrams);
        foreach ($this->charge->herbs as $herb) {
            $water = $water->plus($this->of($herb));
        }

        return $water;
    }

    /** Grams driven off, as the bowl was weighed. */
    public function lostGrams(): float
    {
        return $this->journal->waterLostGrams();
    }

    /** Grams still counted: brought in less driven off. Without the weighing all of it counts as still there. */
    public function leftGrams(): Band
    {
        return $this->inGrams()->minus(Band::exact($this->lostGrams()))->atLeast(0.0);
    }

    /** Whether what is left counts as none: under 0.1 % of the oil. */
    public function isDry(): bool
    {
        return $this->leftGrams()->best < self::DRY * max(1.0, $this->oilLeftGrams);
    }

    private function of(Herb $herb): Band
    {
        if ($herb->form !== 'fresh') {
            return Band::exact(0.0);
        }
        $facts = $herb->plant->factsIn('fresh');
        $moisture = $facts->has(Property::Moisture)
            ? $facts->get(Property::Moisture)->band
            : Band::of(...self::MOISTURE);
        $release = $herb->preparation->release();

        return $moisture
            ->scaled($herb->grams)
            ->times(Band::of(min(self::LEAST_RELEASE, $release), $release, max(self::MOST_RELEASE, $release)));
    }
}
