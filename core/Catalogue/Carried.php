<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;
use DateTimeImmutable;

/**
 * What several things carry together into what is made of them: the strictest of each caution, every name that an
 * allergy may mean, the earliest printed day. A steep, a steep of a steep, a ready blend and an oil that was steeped
 * elsewhere are all joined here, and nowhere else. Method page: docs/methods/carried.md.
 */
final readonly class Carried
{
    /** @param  list<Ingredient>  $all */
    private function __construct(private array $all)
    {
    }

    public static function of(Ingredient ...$all): self
    {
        return new self(array_values($all));
    }

    public function isVegan(): bool
    {
        return array_filter($this->all, static fn (Ingredient $i): bool => ! $i->vegan) === [];
    }

    public function isDrying(): bool
    {
        return array_filter($this->all, static fn (Ingredient $i): bool => $i->composition->drying) !== [];
    }

    /** Those of everything in it together; of the advice for pregnancy and of the ages, the strictest. */
    public function precautions(): Precautions
    {
        $advice = array_map(static fn (Ingredient $i): Advice => $i->precautions->pregnancy, $this->all);
        $reasons = array_filter(
            array_map(static fn (Ingredient $i): ?string => $i->precautions->pregnancyReason, $this->all),
        );
        $cautions = $allergens = $conditions = [];
        foreach ($this->all as $ingredient) {
            foreach ($ingredient->precautions->cautions as $caution) {
                $cautions[$caution->says] = $caution;
            }
            foreach ($ingredient->precautions->allergens as $allergen) {
                $allergens[$allergen] = $allergen;
            }
            foreach ($ingredient->precautions->askFirst as $condition) {
                $conditions[$condition->value] = $condition;
            }
        }

        return new Precautions(
            match (true) {
                in_array(Advice::Avoid, $advice, true) => Advice::Avoid,
                in_array(Advice::Caution, $advice, true) => Advice::Caution,
                default => Advice::Ok,
            },
            implode(' ', array_unique($reasons)) ?: null,
            array_values($allergens),
            ageReason: $this->oldest()?->precautions->ageReason,
            askFirst: array_values($conditions),
            cautions: array_values($cautions),
        );
    }

    /** Facts of the whole with those laid over them that go with any part, however little there is of it. */
    public function over(FactSheet $facts): FactSheet
    {
        $age = $this->oldest()?->facts->get(Property::MinimumAge)->band;
        $sun = null;
        foreach ($this->all as $ingredient) {
            if ($ingredient->isPhototoxic()) {
                $limit = $ingredient->facts->get(Property::PhototoxicMax)->band;
                $sun = $sun === null || $limit->best < $sun->best ? $limit : $sun;
            }
        }
        foreach ([[Property::MinimumAge, $age], [Property::PhototoxicMax, $sun]] as [$property, $band]) {
            $facts = $band instanceof Band ? $facts->with($property, new Fact($band, Fact::ESTIMATE)) : $facts;
        }

        return $facts;
    }

    /**
     * @param  string|null  $withdrawn why it must not be used itself; null while it may as far as its parts do
     * @param  DateTimeImmutable|null  $awaited the day on which it can be strained itself
     * @param  string|null  $grown why microbes may have grown in it itself
     */
    public function provenance(
        Origin $origin,
        ?string $withdrawn = null,
        ?DateTimeImmutable $awaited = null,
        ?string $grown = null,
    ): Provenance {
        $names = [];
        foreach ($this->all as $part) {
            $theirs = $part->provenance;
            if ($withdrawn === null && $theirs->withdrawn !== null) {
                $withdrawn = sprintf('Made from %s. %s', $part->name, $theirs->withdrawn);
            }
            if ($theirs->awaited !== null && ($awaited === null || $theirs->awaited > $awaited)) {
                $awaited = $theirs->awaited;
            }
            $grown ??= $theirs->inherited->grown;
            array_push($names, ...$part->names(), ...$theirs->inherited->names);
        }

        return new Provenance(
            $origin,
            [],
            $withdrawn,
            array_map(static fn (Ingredient $i): string => $i->id, $this->all),
            awaited: $awaited,
            inherited: new Inherited(array_values(array_unique($names)), $this->useBy(), $grown),
        );
    }

    private function useBy(): ?DateTimeImmutable
    {
        $days = array_filter(
            array_map(static fn (Ingredient $i): ?DateTimeImmutable => $i->provenance->useBy(), $this->all),
        );

        return $days === [] ? null : min($days);
    }

    /** The one of them that asks for the highest age; null where none asks for any. */
    private function oldest(): ?Ingredient
    {
        $oldest = null;
        foreach ($this->all as $ingredient) {
            $age = $ingredient->facts->best(Property::MinimumAge, 0.0);
            if ($age > ($oldest?->facts->best(Property::MinimumAge, 0.0) ?? 0.0)) {
                $oldest = $ingredient;
            }
        }

        return $oldest;
    }
}
