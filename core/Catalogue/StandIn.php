<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use JsonSerializable;

/** An ingredient that could stand in for another, and what would change. */
final readonly class StandIn implements JsonSerializable
{
    /**
     * @param  float  $nearness 0 to 1
     * @param  list<Difference>  $changes
     */
    public function __construct(public Ingredient $ingredient, public float $nearness, public array $changes)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->ingredient->id,
            'name' => $this->ingredient->name,
            'matter' => $this->ingredient->kind->matter(),
            'nearness' => round($this->nearness, 3),
            'changes' => $this->changes,
        ];
    }
}
