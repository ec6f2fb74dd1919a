<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Property;

/**
 * What could stand in for an ingredient, nearest first, and what would change. Method page:
 * docs/methods/substitution.md.
 */
final readonly class StandIns
{
    /** How much each likeness counts, where both ingredients have it. */
    private const WEIGHTS = [
        'texture' => 3.0,
        'weight' => 2.0,
        'make-up' => 2.0,
        'needs' => 1.5,
        'action' => 1.0,
        'life' => 0.5,
        'preservation' => 3.0,
    ];

    /** Below this it is no stand-in. */
    private const FLOOR = 0.4;

    /** Families within which one thing can stand in for another. */
    private const FAMILIES = [
        ['carrier-oil', 'liquid-wax-ester', 'ready-steep', 'butter', 'wax'],
        ['fresh-plant', 'dried-herb', 'powder'],
        ['essential-oil'],
        ['emulsifier', 'conditioning-agent'],
        ['preservative'],
        ['antioxidant'],
        ['starch'],
        ['water', 'gel', 'humectant'],
        ['oil-soluble-active', 'carrier-oil', 'liquid-wax-ester'],
        ['water-soluble-active'],
    ];

    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param  list<string>  $without allergens or names the stand-in must not bear
     * @return list<StandIn> nearest first
     */
    public function for(Ingredient $ingredient, array $without = [], int $limit = 6): array
    {
        $found = [];
        foreach ($this->catalogue->all() as $other) {
            if (
                $other->id === $ingredient->id
                // A blend is made for its own purpose: nobody asks for one in the place of one thing.
                || $other->isBlend()
                || $other->provenance->withdrawn !== null
                || ! self::related($ingredient, $other)
                || self::bringsHarm($ingredient, $other)
                || array_filter($without, $other->answersTo(...)) !== []
            ) {
                continue;
            }
            $nearness = self::nearness($ingredient, $other);
            if ($nearness >= self::FLOOR) {
                $found[] = new StandIn($other, $nearness, Difference::between($ingredient, $other));
            }
        }
        usort(
            $found,
            static fn (StandIn $a, StandIn $b): int => [$b->nearness, $a->ingredient->id] <=> [
                $a->nearness,
                $b->ingredient->id,
            ],
        );

        return array_slice($found, 0, $limit);
    }

    /** Whether it dyes, burns or poisons where the other does not: nobody asks for that in its place. */
    private static function bringsHarm(Ingredient $ingredient, Ingredient $other): bool
    {
        foreach ($other->precautions->cautions as $caution) {
            $harms = $caution->kind->isGrave() || $caution->kind === CautionKind::Stains;
            if ($harms && ! $ingredient->precautions->hasCaution($caution->kind)) {
                return true;
            }
        }

        return false;
    }

    /**
     * 1 for no difference in anything both are known by, 0 for all of it; the root of the weighted mean of squares,
     * taken from 1.
     */
    public static function nearness(Ingredient $a, Ingredient $b): float
    {
        $sum = $weights = 0.0;
        foreach (self::distances($a, $b) as $name => $distance) {
            $weight = self::WEIGHTS[$name] ?? 1.0;
            $sum += $weight * $distance ** 2;
            $weights += $weight;
        }

        return $weights > 0.0 ? 1.0 - sqrt($sum / $weights) : 0.0;
    }

    /** @return array<string, float> 0 (alike) to 1, for what both are known by */
    private static function distances(Ingredient $a, Ingredient $b): array
    {
        $distances = ['needs' => self::needsApart($a, $b)];
        if ($a->composition->solidFat->known() && $b->composition->solidFat->known() && ! $a->kind->isPlant()) {
            $squares = array_map(
                static fn (int $t): float => ($a->composition->solidFat->at($t) * $a->composition->solidFat->structure
                    - $b->composition->solidFat->at($t) * $b->composition->solidFat->structure)
                    ** 2,
                SolidFat::TEMPERATURES,
            );
            $distances['texture'] = min(
                1.0,
                sqrt(array_sum($squares) / count($squares))
                    / max(60.0, $a->composition->solidFat->at(20.0) * $a->composition->solidFat->structure),
            );
        }
        if ($a->facts->has(Property::Weight) && $b->facts->has(Property::Weight)) {
            $distances['weight'] = min(
                1.0,
                abs($a->facts->best(Property::Weight, 0.0) - $b->facts->best(Property::Weight, 0.0)) / 2.5,
            );
        }
        $mine = $a->composition->constituents === []
                ? $a->composition->fattyAcids->percent
                : array_map(static fn ($f): float => $f->band->best, $a->composition->constituents);
        $theirs = $b->composition->constituents === []
                ? $b->composition->fattyAcids->percent
                : array_map(static fn ($f): float => $f->band->best, $b->composition->constituents);
        if ($mine !== [] && $theirs !== []) {
            $distances['make-up'] = self::shareApart($mine, $theirs);
        }
        if ($a->onHair->action !== HairAction::None && $b->onHair->action !== HairAction::None) {
            $distances['action'] = $a->onHair->action->distance($b->onHair->action);
        }
        if ($a->preservation->kind !== PreservationKind::None) {
            $distances['preservation'] = ($a->preservation->kind === $b->preservation->kind ? 0.0 : 0.5)
                + ($a->preservation->solubility === $b->preservation->solubility ? 0.0 : 0.5);
        }
        if ($a->facts->has(Property::LifeMonths) && $b->facts->has(Property::LifeMonths)) {
            $distances['life'] = min(
                1.0,
                abs(log($a->facts->best(Property::LifeMonths, 1.0) / $b->facts->best(Property::LifeMonths, 1.0)))
                    / log(4),
            );
        }

        return $distances;
    }

    /**
     * The share of two compositions that is not in common.
     *
     * @param  array<string, float>  $a per cent
     * @param  array<string, float>  $b per cent
     */
    private static function shareApart(array $a, array $b): float
    {
        $common = 0.0;
        foreach ($a as $name => $percent) {
            $common += min($percent, $b[$name] ?? 0.0);
        }
        $whole = max(array_sum($a), array_sum($b));

        return $whole > 0.0 ? 1.0 - $common / $whole : 1.0;
    }

    /** 1 less the common part of what both serve, by strength of evidence; a half where neither serves anything. */
    private static function needsApart(Ingredient $a, Ingredient $b): float
    {
        $common = $all = 0.0;
        foreach (Need::cases() as $need) {
            $mine = $a->evidenceFor($need)[0] ?? false ? $a->evidenceFor($need)[0]->strength() : 0.0;
            $theirs = $b->evidenceFor($need)[0] ?? false ? $b->evidenceFor($need)[0]->strength() : 0.0;
            $common += min($mine, $theirs);
            $all += max($mine, $theirs);
        }

        return $all > 0.0 ? 1.0 - $common / $all : 0.5;
    }

    private static function related(Ingredient $a, Ingredient $b): bool
    {
        foreach (self::FAMILIES as $family) {
            if (in_array($a->kind->value, $family, true) && in_array($b->kind->value, $family, true)) {
                // An active may take an oil's place only when it lies on the hair as an oil does.
                return $family[0] !== 'oil-soluble-active'
                    || $a->kind === $b->kind
                    || ($a->onHair->action !== HairAction::None && $b->onHair->action !== HairAction::None);
            }
        }

        return false;
    }
}
