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
        'job' => 3.0,
    ];

    /** How far apart two are in what is not known of both. */
    private const UNKNOWN = 0.5;

    /** What is had more easily is put before what is as near, by so much a step. */
    private const COMMON = 0.05;

    /** From which nearness on what a maker has is offered first. */
    private const NEAR = 0.6;

    /** So many of those offered are had in shops, where there are such. */
    private const IN_SHOPS = 2;

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
     * @param  list<string>  $held ids of what the maker has: offered first, where it is near enough
     * @return list<StandIn> what she has, then nearest first, what is easily had before what is as near
     */
    public function for(Ingredient $ingredient, array $without = [], int $limit = 6, array $held = []): array
    {
        $found = [];
        foreach ($this->catalogue->all() as $other) {
            if (
                $other->id === $ingredient->id
                // A blend is made for its own purpose: nobody asks for one in the place of one thing.
                || $other->isBlend()
                || $other->provenance->withdrawn !== null
                || ! self::related($ingredient, $other)
                || ! self::doesTheSame($ingredient, $other)
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
        $first = static fn (StandIn $s): bool => in_array($s->ingredient->id, $held, true)
            && $s->nearness >= self::NEAR;
        $rank = static fn (StandIn $s): float => $s->nearness + self::COMMON * ($s->ingredient->common - 1);
        usort(
            $found,
            static fn (StandIn $a, StandIn $b): int => [$first($b), $rank($b), $a->ingredient->id] <=> [
                $first($a),
                $rank($a),
                $b->ingredient->id,
            ],
        );

        return self::withShops($found, $limit);
    }

    /**
     * The first of them, with some that are had in shops in the place of the last where there would be fewer.
     *
     * @param  list<StandIn>  $found in their order
     * @return list<StandIn>
     */
    private static function withShops(array $found, int $limit): array
    {
        $isHad = static fn (StandIn $s): bool => $s->ingredient->common > 1;
        $offered = array_slice($found, 0, $limit);
        $wanting = min(self::IN_SHOPS, $limit) - count(array_filter($offered, $isHad));
        $more = array_slice(array_values(array_filter(array_slice($found, $limit), $isHad)), 0, max(0, $wanting));

        return $more === [] ? $offered : [...array_slice($offered, 0, $limit - count($more)), ...$more];
    }

    /**
     * Whether it does what the other is there for most: its first job, a need that both serve, the same kind of
     * preserving, or, of what lies on the hair, lying there as it does. What nothing is known of stands in for nothing.
     */
    private static function doesTheSame(Ingredient $a, Ingredient $b): bool
    {
        $lies = static fn (Ingredient $i): bool => $i->kind->isFat() || $i->onHair->action !== HairAction::None;
        if ($lies($a) && $lies($b)) {
            return true;
        }
        if ($a->jobs() !== []) {
            return in_array($a->jobs()[0], $b->jobs(), true);
        }

        return self::servesSome($a, $b)
            || ($a->preservation->kind !== PreservationKind::None && $a->preservation->kind === $b->preservation->kind)
            || ($a->kind === IngredientKind::EssentialOil && $a->composition->constituents !== []);
    }

    private static function servesSome(Ingredient $a, Ingredient $b): bool
    {
        foreach (Need::cases() as $need) {
            if (self::strength($a, $need) > 0.0 && self::strength($b, $need) > 0.0) {
                return true;
            }
        }

        return false;
    }

    /** 1 less the part of the jobs of either that both do; 1 where neither has any. */
    private static function jobsApart(Ingredient $a, Ingredient $b): float
    {
        $mine = array_map(static fn (Job $j): string => $j->value, $a->jobs());
        $theirs = array_map(static fn (Job $j): string => $j->value, $b->jobs());
        $all = count(array_unique([...$mine, ...$theirs]));

        return $all === 0 ? 1.0 : 1.0 - count(array_intersect($mine, $theirs)) / $all;
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
        // What is not known of both is not the same in both.
        $distances['make-up'] = $mine !== [] && $theirs !== [] ? self::shareApart($mine, $theirs) : self::UNKNOWN;
        if ($a->jobs() !== [] || $b->jobs() !== []) {
            $distances['job'] = self::jobsApart($a, $b);
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
            $mine = self::strength($a, $need);
            $theirs = self::strength($b, $need);
            $common += min($mine, $theirs);
            $all += max($mine, $theirs);
        }

        return $all > 0.0 ? 1.0 - $common / $all : self::UNKNOWN;
    }

    private static function strength(Ingredient $of, Need $need): float
    {
        return ($of->evidenceFor($need)[0] ?? null)?->strength() ?? 0.0;
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
