<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Crown\Pantry\Held;
use Crown\Pantry\LotSource;
use Crown\Pantry\Take;
use Crown\Pantry\Taking;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** From which bottles something is to be taken next: first to expire first, and from the next when that runs out. */
final class NextBottles
{
    /** @param  Collection<int, Lot>  $lots */
    private function __construct(private readonly Collection $lots)
    {
    }

    /**
     * Asks once for all of them.
     *
     * @param  list<string|null>  $ingredients ids as formulas name them; null for what nobody placed
     */
    public static function of(array $ingredients): self
    {
        $ingredients = array_values(array_filter($ingredients, is_string(...)));
        $ids = self::numbered($ingredients, Lot::OF_LOT);
        $steeps = self::numbered($ingredients, Lot::OF_STEEP);
        $lots = $ingredients === [] ? new Collection() : Lot::query()
            ->whereNull('emptied_on')
            ->where('withdrawn', '')
            ->where(static fn (Builder $q): Builder => $q
                ->where(static fn (Builder $b): Builder => $b
                    ->where('source', LotSource::Bought->value)
                    ->whereIn('ingredient', $ingredients))
                ->orWhereIn('id', $ids)
                ->orWhere(static fn (Builder $s): Builder => $s->whereIn('steep_id', $steeps)->whereNull('event_id')))
            ->get();

        return new self($lots);
    }

    /**
     * @param  string|null  $ingredient null for what nobody placed: there is no bottle of it
     * @param  float  $grams that are to be taken, more than 0
     * @param  int|null  $chosen the bottle that the maker takes first
     * @return list<array<string, mixed>> in the order in which they are taken from: $defs/NextBottle
     */
    public function for(?string $ingredient, float $grams, ?int $chosen = null): array
    {
        $lots = $this->standing($ingredient);
        $held = $lots->map(static fn (Lot $l): Held => new Held($l->id, $l->left_grams, $l->useBy()))->values()->all();
        $bottles = [];
        foreach (Taking::of(array_values($held), $grams, $chosen, Day::today()->toDateString())->takes as $take) {
            $lot = $lots->get($take->lot);
            if ($lot !== null) {
                $bottles[] = self::bottle($lot, $take);
            }
        }

        return $bottles;
    }

    /**
     * @param  list<array<string, mixed>>  $taken as they are taken from
     * @return list<array<string, mixed>> those that it could be taken from as well, the soonest to expire first
     */
    public function others(?string $ingredient, array $taken): array
    {
        $rest = $this->standing($ingredient)->except(array_column($taken, 'lot'));

        return array_values($rest
            ->sortBy(static fn (Lot $l): string => $l->useBy() ?? Lot::NEVER)
            ->map(static fn (Lot $l): array => self::bottle($l, new Take($l->id, 0.0, 0.0)))
            ->all());
    }

    public function has(?string $ingredient, int $lot): bool
    {
        return $this->standing($ingredient)->has($lot);
    }

    /** @return Collection<int, Lot> by id */
    private function standing(?string $ingredient): Collection
    {
        return $this->lots
            ->filter(static fn (Lot $l): bool => $ingredient !== null && self::isOf($l, $ingredient))
            ->keyBy('id');
    }

    /** @return array<string, mixed> */
    private static function bottle(Lot $lot, Take $take): array
    {
        return [
            'lot' => $lot->id,
            'supplier' => $lot->supplier,
            'batch_number' => $lot->batch_number,
            'place' => $lot->place,
            'grams' => round($take->grams, 2),
            'left_grams' => $lot->left_grams === null ? null : round($lot->left_grams, 2),
            'use_by' => $lot->useBy(),
            'past' => $lot->use_by->isBefore(Day::today()),
        ];
    }

    public static function isOf(Lot $lot, string $ingredient): bool
    {
        return match (true) {
            $lot->source === LotSource::Bought->value => $lot->ingredient === $ingredient,
            $ingredient === Lot::OF_LOT.$lot->id => true,
            default => $lot->event_id === null && $ingredient === Lot::OF_STEEP.$lot->steep_id,
        };
    }

    /**
     * @param  list<string>  $ingredients
     * @return list<int>
     */
    private static function numbered(array $ingredients, string $prefix): array
    {
        $of = array_filter($ingredients, static fn (string $i): bool => str_starts_with($i, $prefix));

        return array_values(array_map(static fn (string $i): int => (int) substr($i, strlen($prefix)), $of));
    }
}
