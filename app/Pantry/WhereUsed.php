<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Formula\Formula;
use App\Make\Batch;
use App\Support\IngredientUses;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** Formulas and batches that use an ingredient. */
final class WhereUsed
{
    private const MOST = 30;

    /**
     * @param  list<string>  $ids of ingredients
     * @return list<array{kind: string, id: int, title: string}> the latest first
     */
    public static function of(array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $bearing = static fn (Builder $query, string $holder): Collection => $query
            ->whereIn('id', IngredientUses::of($holder, $ids))
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get(['id', 'title']);

        return [
            ...array_values(
                $bearing(Formula::query(), IngredientUses::FORMULA)
                    ->map(static fn (Formula $f): array => ['kind' => 'formula', 'id' => $f->id, 'title' => $f->title])
                    ->all(),
            ),
            ...array_values(
                $bearing(Batch::query(), IngredientUses::BATCH)
                    ->map(static fn (Batch $b): array => ['kind' => 'batch', 'id' => $b->id, 'title' => $b->title])
                    ->all(),
            ),
        ];
    }
}
