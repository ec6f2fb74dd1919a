<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Bounds;
use Crown\Measure\Property;

/** What is looked for in the catalogue. Every part that is left at its default asks for nothing. */
final readonly class Wanted
{
    public const BY_NAME = 'name';

    public const BY_EVIDENCE = 'evidence';

    public const BY_LIFE = 'life';

    public const BY_WEIGHT = 'weight';

    private const LIGHTEST = 1.0;

    private const HEAVIEST = 5.0;

    /**
     * @param  list<IngredientKind>  $kinds
     * @param  Bounds  $weight on the hair, 1 to 5
     * @param  list<HairAction>  $actions
     * @param  list<string>|null  $among ids of which it is one; null for any
     */
    public function __construct(
        public array $kinds = [],
        public ?Sought $for = null,
        public Bounds $weight = new Bounds(self::LIGHTEST, self::HEAVIEST),
        public array $actions = [],
        public Shunned $without = new Shunned(),
        public ?array $among = null,
        public string $by = self::BY_NAME,
    ) {
    }

    /** @return list<Ingredient> in the order asked for; then by name */
    public function in(Catalogue $catalogue): array
    {
        $found = array_values(array_filter($catalogue->all(), $this->admits(...)));
        $rank = fn (Ingredient $i): float => match ($this->by) {
            self::BY_EVIDENCE => $this->for === null
                ? -self::bestEvidence($i)
                : -(float) (Sought::worth($i, $this->for->need) ?? -1),
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
        return ($this->kinds === [] || in_array($i->kind, $this->kinds, true))
            && ($this->for === null || $this->for->isMetBy($i))
            && $this->isOfWeight($i)
            && ($this->actions === [] || in_array($i->onHair->action, $this->actions, true))
            && ($this->among === null || in_array($i->id, $this->among, true))
            && $this->without->allows($i);
    }

    /** What lies on no hair, as a plant does, and what nobody weighed has none. */
    private function isOfWeight(Ingredient $i): bool
    {
        if ($this->weight->least <= self::LIGHTEST && $this->weight->most >= self::HEAVIEST) {
            return true;
        }
        $weight = $i->kind->isPlant() ? 0.0 : $i->facts->best(Property::Weight, 0.0);

        return $weight > 0.0
            && $weight >= $this->weight->least - 1e-9
            && $weight <= $this->weight->most + 1e-9;
    }

    private static function bestEvidence(Ingredient $i): float
    {
        return (float) max([0, ...array_map(static fn (Evidence $e): int => $e->worth(), $i->evidence)]);
    }
}
