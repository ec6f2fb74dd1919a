<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Formula\Formula;
use App\Make\Batch;

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
        $bearing = static fn ($query) => $query
            ->where(static function ($q) use ($ids): void {
                foreach ($ids as $id) {
                    $q->orWhere('document', 'like', '%"ingredient":"'.$id.'"%');
                }
            })
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get(['id', 'title']);

        return [
            ...array_values(
                $bearing(Formula::query())
                    ->map(static fn (Formula $f): array => ['kind' => 'formula', 'id' => $f->id, 'title' => $f->title])
                    ->all(),
            ),
            ...array_values(
                $bearing(Batch::query())
                    ->map(static fn (Batch $b): array => ['kind' => 'batch', 'id' => $b->id, 'title' => $b->title])
                    ->all(),
            ),
        ];
    }
}
