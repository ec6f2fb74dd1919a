<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Assessment\Examined;
use Crown\Assessment\Portion;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\StandIns;
use Crown\Measure\Property;
use Crown\Measure\Unit;
use Crown\Solving\Candidate;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\ConstituentShare;
use Crown\Solving\Requirement\DermalMaxima;
use Crown\Solving\Requirement\EssentialOilLoad;
use Crown\Solving\Supply;
use Crown\Solving\Wish;

/** What may be in a formula that is to come near to a maker's wishes: its own lines, their stand-ins, and helpers. */
final readonly class Pool
{
    private const STAND_INS = 3;

    /** What makers reach for when a wish is more than the lines and their stand-ins can do. */
    private const HELPERS = [
        'softer' => ['jojoba-oil'],
        'firmer' => ['candelilla-wax', 'beeswax'],
        'lighter' => ['squalane'],
        'richer' => ['castor-oil'],
    ];

    /** @param  array<string, float|null>  $stock grams at hand by ingredient id, null for "some" */
    public function __construct(
        private Examined $subject,
        private Catalogue $catalogue,
        private Wishes $wishes,
        private array $stock,
    ) {
    }

    /**
     * @param  list<Requirement>  $requirements
     * @return list<Candidate>
     */
    public function candidates(array $requirements): array
    {
        $now = $this->subject->composition->percentages();
        $scentFalls = self::lowersScent($requirements);
        $candidates = [];
        foreach ($this->subject->composition->weighed() as $portion) {
            if (isset($candidates[$portion->ingredient->id]) || ! $portion->ingredient->isPlaced()) {
                continue;
            }
            $candidates[$portion->ingredient->id] = $this->present(
                $portion,
                $now[$portion->ingredient->id],
                $scentFalls,
            );
            foreach ($this->standIns($portion) as $standIn) {
                $candidates[$standIn->id] ??= $this->newcomer($standIn, $now);
            }
        }
        foreach ($this->fillers() as $ingredient) {
            $candidates[$ingredient->id] ??= $this->newcomer($ingredient, $now);
        }
        foreach ($this->wishes->of(Wish::UseUp) as $id) {
            if ($this->catalogue->has($id)) {
                $ingredient = $this->catalogue->get($id);
                $most = $this->wishes->refuse($ingredient) ? 0.0 : 100.0;
                $candidates[$id] ??= $this->candidate($ingredient, 0.0, $most, 0.0);
            }
        }

        return array_values($candidates);
    }

    /**
     * A scent is what the maker wants smelt: it stays, unless it is the load that has to fall. It is never a filler.
     *
     * @param  list<Requirement>  $requirements
     */
    private static function lowersScent(array $requirements): bool
    {
        return array_filter(
            $requirements,
            static fn (Requirement $r): bool => $r instanceof EssentialOilLoad
                || $r instanceof DermalMaxima
                || $r instanceof ConstituentShare,
        ) !== [];
    }

    /** What is in it already: fats and scents move unless they are locked; everything else keeps its share. */
    private function present(Portion $portion, float $share, bool $scentFalls): Candidate
    {
        $ingredient = $portion->ingredient;
        $isScent = $ingredient->kind === IngredientKind::EssentialOil;

        return match (true) {
            $this->wishes->refuse($ingredient) => $this->candidate($ingredient, 0.0, 0.0, $share),
            $portion->line->locked => $this->candidate($ingredient, $share, $share, $share),
            $isScent && $scentFalls => $this->candidate(
                $ingredient,
                0.0,
                $share,
                $share,
                $this->drop($portion, $share),
            ),
            $ingredient->kind->isFat() => $this->candidate($ingredient, 0.0, 100.0, $share),
            default => $this->candidate($ingredient, $share, $share, $share),
        };
    }

    /** @return list<Ingredient> what could take the place of a line that may give way */
    private function standIns(Portion $portion): array
    {
        if ($portion->line->locked || ! $portion->ingredient->kind->isFat()) {
            return [];
        }
        $found = (new StandIns($this->catalogue))->for(
            $portion->ingredient,
            $this->wishes->shunned(),
            self::STAND_INS,
            array_keys($this->stock),
        );

        return array_map(static fn ($standIn): Ingredient => $standIn->ingredient, $found);
    }

    /** @return list<Ingredient> fats from the cupboard when only those may be used, and what helps a wish along */
    private function fillers(): array
    {
        $ids = [];
        foreach ($this->wishes->has(Wish::AtHand) ? array_keys($this->stock) : [] as $id) {
            if ($this->catalogue->has($id) && $this->catalogue->get($id)->kind->isFat()) {
                $ids[] = $id;
            }
        }
        foreach (Wish::cases() as $wish) {
            $helpers = $this->wishes->has($wish) ? self::HELPERS[$wish->value] ?? [] : [];
            array_push($ids, ...array_filter($helpers, $this->catalogue->has(...)));
        }

        return array_map($this->catalogue->get(...), $ids);
    }

    /** @param  array<string, float>  $now per cent by ingredient id */
    private function newcomer(Ingredient $ingredient, array $now): Candidate
    {
        return $this->candidate(
            $ingredient,
            0.0,
            $this->wishes->refuse($ingredient) || $this->isStrange($ingredient) ? 0.0 : 100.0,
            $now[$ingredient->id] ?? 0.0,
        );
    }

    /**
     * Whether it would bring an allergen, something of an animal, or water where there is none yet: that comes in only
     * when it is asked for.
     */
    private function isStrange(Ingredient $ingredient): bool
    {
        $present = array_map(
            static fn (Portion $p): Ingredient => $p->ingredient,
            $this->subject->composition->counted(),
        );
        $vegan = array_filter($present, static fn (Ingredient $i): bool => ! $i->vegan) === [];

        return ($vegan && ! $ingredient->vegan)
            || ($this->subject->water->percent->best <= 0.0 && $ingredient->freeWater('')->high > 0.0)
            || array_diff(
                $ingredient->precautions->allergens,
                ...array_map(static fn (Ingredient $i): array => $i->precautions->allergens, $present),
            ) !== [];
    }

    /** Share of one drop of what is counted in drops, per cent; null for what is not. */
    private function drop(Portion $portion, float $share): ?float
    {
        $amount = $portion->read();
        $counted = $amount->unit === Unit::Drop
            && $amount->also === []
            && abs($portion->percent() - $share) < 1e-9;

        return $counted && $share > 0.0 ? $share / max(1.0, $amount->count->best) : null;
    }

    private function candidate(
        Ingredient $ingredient,
        float $least,
        float $most,
        float $now,
        ?float $step = null,
    ): Candidate {
        return new Candidate(
            $ingredient,
            $least,
            $most,
            $now,
            new Supply(self::price($ingredient), $this->atHand($ingredient)),
            $this->subject->texture->learned->factor,
            $step,
        );
    }

    /** Money per gram; water is free, and null is not known. */
    private static function price(Ingredient $ingredient): ?float
    {
        return match (true) {
            $ingredient->facts->has(Property::Price) => $ingredient->facts->best(Property::Price, 0.0) / 1000,
            $ingredient->kind === IngredientKind::Water => 0.0,
            default => null,
        };
    }

    /** Grams there are of it when only stock may be used; null when it does not matter or nobody said how much. */
    private function atHand(Ingredient $ingredient): ?float
    {
        if (! $this->wishes->has(Wish::AtHand) || $ingredient->kind === IngredientKind::Water) {
            return null;
        }

        return array_key_exists($ingredient->id, $this->stock) ? $this->stock[$ingredient->id] : 0.0;
    }
}
