<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Property;

/** What is looked for in the catalogue. Every part that is left at its default asks for nothing. */
final readonly class Wanted
{
    public const BY_NAME = 'name';

    public const BY_EVIDENCE = 'evidence';

    public const BY_LIFE = 'life';

    public const BY_WEIGHT = 'weight';

    /**
     * @param  list<IngredientKind>  $kinds
     * @param  list<Need>  $needs none or one
     * @param  int  $evidence least grade for the need
     * @param  float  $heaviest 1 to 5
     * @param  float  $lightest 1 to 5
     * @param  list<HairAction>  $actions
     * @param  list<string>  $without allergens or names that must not be in it
     * @param  list<string>  $among ids: with $onlyAmong, nothing else is shown
     * @param  string  $pregnancy "" for any; "ok" or "caution" for the worst advice allowed; "advised-against" for what
     *     calls for advice or is to be avoided
     */
    public function __construct(
        public array $kinds = [],
        public array $needs = [],
        public int $evidence = 0,
        public float $lightest = 1.0,
        public float $heaviest = 5.0,
        public array $actions = [],
        public array $without = [],
        public bool $vegan = false,
        public array $among = [],
        public bool $onlyAmong = false,
        public string $pregnancy = '',
        public string $by = self::BY_NAME,
    ) {
    }

    /** @return list<Ingredient> in the order asked for; then by name */
    public function in(Catalogue $catalogue): array
    {
        $found = array_values(array_filter($catalogue->all(), $this->admits(...)));
        $rank = fn (Ingredient $i): float => match ($this->by) {
            self::BY_EVIDENCE => $this->needs === []
                ? -self::bestEvidence($i)
                : -(float) self::worth($i, $this->needs[0]),
            self::BY_LIFE => -$i->facts->best(Property::LifeMonths, 0.0),
            self::BY_WEIGHT => $i->facts->best(Property::Weight, 9.0),
            default => 0.0,
        };
        usort(
            $found,
            static fn (Ingredient $a, Ingredient $b): int => [$rank($a), mb_strtolower($a->name)] <=> [
                $rank($b),
                mb_strtolower($b->name),
            ],
        );

        return $found;
    }

    private function admits(Ingredient $i): bool
    {
        $weight = $i->facts->has(Property::Weight) && ! $i->kind->isPlant()
                ? $i->facts->get(Property::Weight)->band->best
                : 0.0;
        $bounded = $this->lightest > 1.0 || $this->heaviest < 5.0;

        return ($this->kinds === [] || in_array($i->kind, $this->kinds, true))
            && ($this->needs === [] || self::worth($i, $this->needs[0]) >= max(1, $this->evidence))
            && (! $bounded || ($weight > 0.0 && $weight >= $this->lightest - 1e-9 && $weight <= $this->heaviest + 1e-9))
            && ($this->actions === [] || in_array($i->onHair->action, $this->actions, true))
            && (! $this->vegan || $i->vegan)
            && (! $this->onlyAmong || in_array($i->id, $this->among, true))
            && $this->borneInPregnancy($i)
            && array_filter($this->without, $i->answersTo(...)) === [];
    }

    private function borneInPregnancy(Ingredient $i): bool
    {
        return match ($this->pregnancy) {
            'ok' => $i->precautions->pregnancy === Advice::Ok,
            'caution' => $i->precautions->pregnancy !== Advice::Avoid,
            'advised-against' => $i->precautions->pregnancy !== Advice::Ok,
            default => true,
        };
    }

    private static function worth(Ingredient $i, Need $need): int
    {
        $known = $i->evidenceFor($need);

        return $known === [] ? -1 : $known[0]->worth();
    }

    private static function bestEvidence(Ingredient $i): float
    {
        return (float) max([0, ...array_map(static fn (Evidence $e): int => $e->worth(), $i->evidence)]);
    }
}
