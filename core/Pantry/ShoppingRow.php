<?php

declare(strict_types=1);

namespace Crown\Pantry;

use JsonSerializable;

/** One thing of a shopping list: what is needed of it, what is there, and what to buy. */
final readonly class ShoppingRow implements JsonSerializable
{
    /**
     * @param  float|null  $atHand grams; null where it is there and nobody said how much
     * @param  float|null  $short grams; null where that cannot be told
     * @param  list<array{count: int, pack: Pack}>  $buy
     */
    public function __construct(
        public string $ingredient,
        public string $name,
        public float $needed,
        public ?float $atHand,
        public ?float $short,
        public array $buy,
    ) {
    }

    public function isShort(): bool
    {
        return $this->short !== null && $this->short > 0.0;
    }

    /** For all its packs; null where one has no price, and where there are none. */
    public function money(): ?float
    {
        $sum = 0.0;
        foreach ($this->buy as ['count' => $count, 'pack' => $pack]) {
            if ($pack->cost === null) {
                return null;
            }
            $sum += $count * $pack->cost;
        }

        return $this->buy === [] ? null : round($sum, 2);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'ingredient' => $this->ingredient,
            'name' => $this->name,
            'needed' => $this->needed,
            'at_hand' => $this->atHand,
            'short' => $this->short,
            'buy' => array_map(static fn (array $b): array => [
                'count' => $b['count'],
                'grams' => $b['pack']->grams,
                'cost' => $b['pack']->cost,
            ], $this->buy),
            'money' => $this->money(),
        ];
    }
}
