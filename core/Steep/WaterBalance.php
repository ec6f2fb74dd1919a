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

    /** Water in a dried plant at most, as a share of its mass. */
    private const MOST_IN_DRIED = 0.14;

    /** What two readings of a kitchen scale may miss, g. */
    private const SCALE_MISSES = 2.0;

    /** Share of its water that a plant gives up at least and at most, however it was prepared. */
    private const LEAST_RELEASE = 0.1;

    private const MOST_RELEASE = 0.8;

    /** @param  float  $oilLeftGrams still in the jar */
    public function __construct(private Charge $charge, private Journal $journal, private float $oilLeftGrams)
    {
    }

    /** Grams brought in: fresh mass x moisture x release, what was added on purpose, and what the oils bring. */
    public function inGrams(): Band
    {
        $water = Band::exact($this->charge->waterGrams);
        foreach ($this->charge->pours as $pour) {
            $water = $water->plus($pour->oil->freeWater('')->scaled($pour->grams));
        }
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

    /**
     * Grams still counted: brought in less driven off; none once a second weighing shows no more loss. Without the
     * weighing all of it counts as still there.
     */
    public function leftGrams(): Band
    {
        if ($this->journal->showsNoMoreLoss()) {
            return Band::exact(0.0);
        }

        return $this->inGrams()->minus(Band::exact($this->lostGrams()))->atLeast(0.0);
    }

    /** Whether what may be left at worst counts as none: under 0.1 % of the oil. */
    public function isDry(): bool
    {
        return $this->leftGrams()->high < self::DRY * max(1.0, $this->oilLeftGrams);
    }

    /** Whether water comes in: with a fresh plant, or on purpose. */
    public function comesIn(): bool
    {
        return $this->inGrams()->high > 0.0;
    }

    /**
     * The most the bowl can lose, g: all the water that is in its plants, in the dried ones too, what was added, and
     * and in the oils, and what a kitchen scale misses.
     */
    public function mostLossGrams(): float
    {
        $most = $this->charge->waterGrams + self::SCALE_MISSES * count($this->journal->weighings);
        foreach ($this->charge->pours as $pour) {
            $most += $pour->grams * $pour->oil->freeWater('')->high;
        }
        foreach ($this->charge->herbs as $herb) {
            $most += $herb->grams * ($herb->form === 'fresh' ? self::moisture($herb)->high : self::MOST_IN_DRIED);
        }

        return $most;
    }

    private static function moisture(Herb $herb): Band
    {
        $facts = $herb->plant->factsIn('fresh');
        $fresh = $facts->has(Property::Moisture) ? $facts->get(Property::Moisture)->band : Band::of(...self::MOISTURE);
        $lost = $herb->preparation->lostBefore();

        // What was lost before it was weighed was water: (m - l) / (1 - l) of what is left is.
        return Band::of(
            max(0.0, ($fresh->low - $lost->high) / (1 - $lost->high)),
            max(0.0, ($fresh->best - $lost->best) / (1 - $lost->best)),
            max(0.0, ($fresh->high - $lost->low) / (1 - $lost->low)),
        );
    }

    private function of(Herb $herb): Band
    {
        if ($herb->form !== 'fresh') {
            return Band::exact(0.0);
        }
        $moisture = self::moisture($herb);
        $release = $herb->preparation->release();

        return $moisture
            ->scaled($herb->grams)
            ->times(Band::of(min(self::LEAST_RELEASE, $release), $release, max(self::MOST_RELEASE, $release)));
    }
}
