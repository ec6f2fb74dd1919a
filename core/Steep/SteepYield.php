<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Advice;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Preservation;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\SolidFat;
use Crown\Catalogue\Solubility;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\Property;

/** What came out of a steep: an oil that carries its water, its age and its plant's constituents. */
final readonly class SteepYield
{
    /** Under this share of the oil what is left counts as dry. */
    private const DRY = 0.001;

    private const DAYS_PER_MONTH = 30.44;

    /**
     * @param  float  $grams of oil that were had, measured
     * @param  float  $lossGrams the bowl before heating less the bowl after: water driven off; 0 when it was not weighed
     */
    public function __construct(
        private SteepPlan $plan,
        private float $grams,
        private float $lossGrams = 0.0,
    ) {
        if ($grams <= 0.0 || $grams > $plan->oilGrams * 1.5) {
            throw SteepError::field('yield_grams', sprintf('more than 0 and at most %g g, half again the oil that went in', $plan->oilGrams * 1.5));
        }
        if ($lossGrams < 0.0) {
            throw SteepError::field('loss_grams', 'zero or more');
        }
    }

    /** Grams of water still counted: brought in less driven off, worst case kept in the band. */
    public function waterLeftGrams(): Band
    {
        return $this->plan->waterInGrams()->minus(Band::exact($this->lossGrams))->atLeast(0.0);
    }

    /**
     * Share of the oil that is water, 0 to 1. Without the weighing all the water brought in still counts; with it, what is
     * left must be under 0.1 % of the oil to count as dry.
     */
    public function waterShare(): float
    {
        $share = $this->waterLeftGrams()->best / $this->grams;

        return $share < self::DRY ? 0.0 : min(0.9, $share);
    }

    public function isDry(): bool
    {
        return $this->waterShare() === 0.0;
    }

    /** The oil as an ingredient that any formula can use. */
    public function ingredient(string $id, string $name): Ingredient
    {
        $oil = $this->plan->oil;
        $plant = $this->plan->plant;
        $facts = $oil->facts;
        if ($facts->has(Property::LifeMonths)) {
            $spent = $this->plan->ageSpentDays()->scaled(1 / self::DAYS_PER_MONTH);
            $left = $facts->get(Property::LifeMonths)->band->minus($spent)->atLeast(0.25);
            $facts = $facts->with(Property::LifeMonths, new Fact($left, Fact::ESTIMATE));
        }

        return new Ingredient(
            $id,
            $name,
            $oil->inci.', '.$plant->inci,
            IngredientKind::ReadySteep,
            [],
            $facts,
            $oil->fattyAcids,
            SolidFat::liquid(),
            Solubility::Oil,
            new Preservation(PreservationKind::None, Solubility::Water),
            $plant->pregnancy === Advice::Ok ? $oil->pregnancy : $plant->pregnancy,
            array_values(array_unique([...$oil->allergens, ...$plant->allergens])),
            $oil->vegan && $plant->vegan,
            $oil->drying,
            false,
            [],
            $this->constituents($plant),
            '',
            $plant->evidence,
            [...$oil->cautions, ...$plant->cautions],
            $oil->storage,
            [],
            $this->waterShare(),
        );
    }

    /**
     * Per cent of each restricted constituent in the oil: what the plant holds, as far as it was drawn, worst case all of it.
     *
     * @return array<string, Fact>
     */
    private function constituents(Ingredient $plant): array
    {
        $drawn = $this->plan->extractionPercent()->scaled(0.01);
        $facts = [];
        foreach ($plant->constituents as $name => $fact) {
            $inPlant = $fact->band->scaled($this->plan->plantGrams / $this->plan->oilGrams);
            $facts[$name] = new Fact($inPlant->times(Band::of($drawn->low, $drawn->best, 1.0)), Fact::ESTIMATE);
        }

        return $facts;
    }
}
