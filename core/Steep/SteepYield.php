<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Assessment\Store;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Carried;
use Crown\Catalogue\Composition;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\FattyAcids;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Mixture;
use Crown\Catalogue\MixturePart;
use Crown\Catalogue\OnHair;
use Crown\Catalogue\Origin;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Months;
use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;

/** What came out of a steep: an oil that carries its water, its age, its parents and its plants' constituents. */
final readonly class SteepYield
{
    /** Share of the oil that counts as its plants, all together. */
    private const PLANTS = 0.009;

    /** Of what came out so much may be water at most, and so much at best where it was drawn off. */
    private const MOST_WATER = 0.9;

    private const TRACES = 0.01;

    /** Facts of a blend of oils that are the mean of its parts, by mass. */
    private const MEANS = [Property::Density20, Property::Density60, Property::Weight];

    /**
     * @param  float  $grams of oil that were had, measured
     * @param  float  $lossGrams more water driven off than the plan's own weighings say; 0 when there is none
     * @param  string|null  $withdrawn why it must not be used any more; null while it may
     * @param  bool  $drawn whether it was taken out while the rest went on, so that more is still to come
     * @param  DateTimeImmutable|null  $awaited the day on which it can be strained, of what is still in the jar
     *
     * @throws SteepError
     */
    public function __construct(
        private SteepPlan $plan,
        private float $grams,
        private float $lossGrams = 0.0,
        private WaterChoice $choice = WaterChoice::Kept,
        private ?string $withdrawn = null,
        private bool $drawn = false,
        private ?DateTimeImmutable $awaited = null,
    ) {
        if ($grams <= 0.0 || $grams > $plan->charge->oilGrams() * 1.5) {
            throw SteepError::field(
                'yield_grams',
                new Message('steep.allowed.yield', ['most' => sprintf('%g', $plan->charge->oilGrams() * 1.5)]),
            );
        }
        if ($lossGrams < 0.0) {
            throw SteepError::field('loss_grams', new Message('steep.allowed.zero-or-more'));
        }
    }

    /**
     * What is to be expected of a jar that still stands: its figures are reckoned, none is measured.
     *
     * @throws SteepError
     */
    public static function awaited(SteepPlan $plan, ?string $withdrawn = null): self
    {
        return new self(
            $plan,
            max(1.0, $plan->recovery->yieldGrams()->best),
            withdrawn: $withdrawn,
            awaited: $withdrawn === null ? $plan->timeline->strainDay() : null,
        );
    }

    /** Grams of oil that were had, or are to be expected. */
    public function grams(): float
    {
        return $this->grams;
    }

    /** Grams of water still counted: brought in less driven off, worst case kept in the band. */
    public function waterLeftGrams(): Band
    {
        return $this->plan->water->leftGrams()->minus(Band::exact($this->lossGrams))->atLeast(0.0);
    }

    /**
     * Share of the oil that may be water, 0 to 1. Without the weighing all the water that may have come in still
     * counts; with it, what may be left must be under 0.1 % of the oil to count as dry. Free water that was drawn or
     * frozen off leaves traces at best: it was not shown dry; and where something wet stood for days, nothing is taken
     * away.
     */
    public function water(): Band
    {
        $share = $this->waterLeftGrams()->scaled(1 / $this->grams)->atMost(self::MOST_WATER);

        return match (true) {
            $share->high < WaterBalance::DRY => Band::exact(0.0),
            $this->choice !== WaterChoice::Kept && $this->plan->grown() === null => $share->atMost(self::TRACES),
            default => $share,
        };
    }

    public function isDry(): bool
    {
        return $this->water()->high === 0.0;
    }

    /** Why microbes may have grown in it; null where they cannot, or where the bowl has shown it dry. */
    public function grown(): ?string
    {
        return $this->isDry() && $this->plan->charge->wetPours() === [] ? null : $this->plan->grown();
    }

    /** Where it must stand for its date to hold. */
    public function store(): Store
    {
        return $this->waterCap()->store;
    }

    /**
     * Best before, of what came out on a day: the low end of what its oil still has, no longer than its water lets it,
     * and no later than the day printed on a bottle that went in.
     */
    public function bestBefore(DateTimeImmutable $on): DateTimeImmutable
    {
        $months = $this->plan->charge->oil()->facts->has(Property::LifeMonths)
            ? $this->plan->ageing->lifeLeftMonths()->low
            : WaterCap::TRACES_MONTHS;

        $day = $on->modify(sprintf('+%d days', Months::inDays(min($months, $this->waterCap()->months))));
        $printed = $this->plan->charge->printedUseBy();

        return $printed === null ? $day : min($day, $printed);
    }

    private function waterCap(): WaterCap
    {
        $class = $this->grown() === null ? WaterClass::ofSteep($this->water()->high * 100) : WaterClass::Free;

        return WaterCap::of($class, false);
    }

    /** What was had against what was foretold, per cent of the oil that could come. */
    public function recovered(): float
    {
        return (100 * $this->grams) / max(1e-9, $this->plan->oilLeftGrams());
    }

    /** Grams of oil that stayed per gram of plant: what the studio learns from. */
    public function keptPerGram(): float
    {
        return max(0.0, $this->plan->oilLeftGrams() - $this->grams) / $this->plan->charge->plantGrams();
    }

    /** The oil as an ingredient that any formula can use. */
    public function ingredient(string $id, string $name): Ingredient
    {
        $pours = $this->plan->charge->pours;
        $oil = $this->plan->charge->oil();
        $plants = array_map(static fn (Herb $h): Ingredient => $h->plant, $this->plan->charge->herbs);
        $oils = array_map(static fn (Pour $p): Ingredient => $p->oil, $pours);
        $carried = Carried::of(...$oils, ...$plants);
        $facts = $carried->over($oil->facts);
        foreach (self::MEANS as $property) {
            $facts = $this->mean($facts, $property);
        }
        if ($oil->facts->has(Property::LifeMonths)) {
            $facts = $facts->with(
                Property::LifeMonths,
                new Fact($this->plan->ageing->lifeLeftMonths(), Fact::ESTIMATE),
            );
        }
        $facts = $this->price($facts);

        return new Ingredient(
            $id,
            $name,
            implode(', ', array_keys($parts = $this->parts())),
            IngredientKind::ReadySteep,
            $facts,
            new Composition(
                $this->acids(),
                // An oil that sets in the cold still does so with a herb in it.
                $this->oils()->solidFat(),
                $this->constituents(),
                water: $this->isDry() ? null : $this->water(),
                drying: $carried->isDrying(),
            ),
            vegan: $carried->isVegan(),
            precautions: $carried->precautions(),
            onHair: new OnHair(
                $oil->onHair->action === HairAction::None ? HairAction::Sealing : $oil->onHair->action,
                $oil->onHair->source,
                $oil->onHair->feel,
            ),
            evidence: $this->evidence($plants),
            storage: $oil->storage,
            provenance: $carried->provenance(Origin::Steeped, $this->withdrawn, $this->awaited, $this->grown()),
            parts: $parts,
        );
    }

    /**
     * The oils by their shares, and the water that is in them; the plants after them, all together under 1 %: the
     * little of them that oil draws.
     *
     * @return array<string, float> by INCI name
     */
    private function parts(): array
    {
        $parts = $this->oils()->inciShares();
        foreach ($this->plan->charge->herbs as $herb) {
            $name = $herb->plant->inci;
            $drawn = (self::PLANTS * $herb->grams) / $this->plan->charge->plantGrams();
            $parts[$name] = ($parts[$name] ?? 0.0) + $drawn;
        }

        unset($parts['']);
        if (! $this->isDry()) {
            $water = $this->water()->best;
            $parts = array_map(static fn (float $share): float => $share * (1.0 - $water), $parts);
            $parts['Aqua'] = ($parts['Aqua'] ?? 0.0) + $water;
        }

        return $parts;
    }

    private function mean(FactSheet $facts, Property $property): FactSheet
    {
        $mean = count($this->plan->charge->pours) === 1 ? null : $this->oils()->mean($property);

        return $mean === null ? $facts : $facts->with($property, new Fact($mean, Fact::ESTIMATE));
    }

    /** What was poured on, as one. */
    private function oils(): Mixture
    {
        return new Mixture(array_map(
            static fn (Pour $p): MixturePart => new MixturePart($p->oil, $p->grams),
            $this->plan->charge->pours,
        ));
    }

    /**
     * It costs what went into it, over the oil that it gives: what stays in the plant is paid for as well. Without the
     * price of every oil and plant it is not known.
     */
    private function price(FactSheet $facts): FactSheet
    {
        $money = Band::exact(0.0);
        foreach (
            [
                ...array_map(
                    static fn (Pour $p): MixturePart => new MixturePart($p->oil, $p->grams),
                    $this->plan->charge->pours,
                ),
                ...array_map(
                    static fn (Herb $h): MixturePart => new MixturePart($h->plant, $h->draw > 1 ? 0.0 : $h->grams),
                    $this->plan->charge->herbs,
                ),
            ] as $part
        ) {
            if ($part->amount <= 0.0) {
                continue;
            }
            if (! $part->ingredient->facts->has(Property::Price)) {
                return $facts->without(Property::Price);
            }
            $money = $money->plus($part->ingredient->facts->get(Property::Price)->band->scaled($part->amount));
        }
        $oil
            = $this->plan->journal->drawnGrams()
            + ($this->drawn ? $this->plan->recovery->yieldGrams()->best : $this->grams);

        return $facts->with(Property::Price, new Fact($money->scaled(1 / $oil), Fact::ESTIMATE));
    }

    private function acids(): FattyAcids
    {
        return count($this->plan->charge->pours) === 1
            ? $this->plan->charge->oil()->composition->fattyAcids
            : $this->oils()->fattyAcids();
    }

    /**
     * Per cent of each restricted constituent in the oil: what the plants hold, as far as it was drawn, worst case all
     * of it; and what an oil that was itself steeped brings along.
     *
     * @return array<string, Fact>
     */
    private function constituents(): array
    {
        $drawn = $this->plan->extraction->atStraining()->scaled(0.01);
        $bands = [];
        $add = static function (string $name, Band $band) use (&$bands): void {
            $bands[$name] = ($bands[$name] ?? Band::exact(0.0))->plus($band);
        };
        foreach ($this->plan->charge->herbs as $herb) {
            foreach ($herb->plant->composition->constituents as $name => $fact) {
                $add(
                    $name,
                    $fact->band
                        ->scaled(($herb->grams * $herb->reach()) / $this->plan->charge->oilGrams())
                        ->times(Band::of(min(1.0, $drawn->low), min(1.0, $drawn->best), 1.0)),
                );
            }
        }
        foreach ($this->plan->charge->pours as $pour) {
            foreach ($pour->oil->composition->constituents as $name => $fact) {
                $add($name, $fact->band->scaled($pour->grams / $this->plan->charge->oilGrams()));
            }
        }

        return array_map(static fn (Band $b): Fact => new Fact($b, Fact::ESTIMATE), $bands);
    }

    /**
     * What the plants and the oils are known for, each need once, the better known first.
     *
     * @param  list<Ingredient>  $plants
     * @return list<Evidence>
     */
    private function evidence(array $plants): array
    {
        $best = [];
        $oils = array_map(static fn (Pour $p): Ingredient => $p->oil, $this->plan->charge->pours);
        foreach ([...$plants, ...$oils] as $ingredient) {
            foreach ($ingredient->evidence as $evidence) {
                $known = $best[$evidence->need->value] ?? null;
                if ($known === null || $evidence->worth() > $known->worth()) {
                    $best[$evidence->need->value] = $evidence->foundOf($ingredient);
                }
            }
        }

        return array_values($best);
    }
}
