<?php

declare(strict_types=1);

namespace Crown\Assessment;

use JsonSerializable;

/**
 * What each line of a batch costs, and where its price is from. Method page: docs/methods/cost.md. As JSON:
 * $defs/CostPlan in docs/formats/crown.schema.json.
 */
final readonly class CostPlan implements JsonSerializable
{
    public function __construct(private Composition $composition)
    {
    }

    /** @return array{rows: list<array<string, mixed>>} money in the studio's own; null where it cannot be told */
    public function jsonSerialize(): array
    {
        $money = Cost::of($this->composition)->byLine;

        return [
            'rows' => array_map(
                static fn (Portion $portion): array => [
                    'line' => $portion->line->id,
                    'ingredient' => $portion->ingredient->id,
                    'name' => $portion->ingredient->name,
                    'grams' => round($portion->grams->band->best, 4),
                    'price_per_kg' => Cost::price($portion)?->best,
                    'price_is' => PriceSource::of($portion->ingredient)->value,
                    'money' => $money[$portion->line->id] ?? null,
                ],
                $this->composition->weighed(),
            ),
        ];
    }
}
