<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\OwnIngredient;
use App\Studio\IngredientUses;
use Crown\Json\Node;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Formulas and batches that use an ingredient: asked of their tables, for they lie in rooms of their own. */
final class WhereUsed
{
    private const MOST = 30;

    /**
     * @param  list<string>  $ids of ingredients; what is in a ready blend is used where that is
     * @return list<array{kind: string, id: int, title: string}> the latest first
     */
    public static function of(array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $ids = OwnIngredient::withBlendsOf($ids);

        return [
            ...self::titles('formulas', IngredientUses::FORMULA, $ids),
            ...self::titles('batches', IngredientUses::BATCH, $ids),
        ];
    }

    /**
     * @param  list<string>  $ids
     * @return list<array{kind: string, id: int, title: string}>
     */
    private static function titles(string $table, string $holder, array $ids): array
    {
        $rows = DB::table($table)
            ->whereIn('id', IngredientUses::of($holder, $ids))
            // What is put away is not used.
            ->whereNull('deleted_at')
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get(['id', 'title'])
            ->all();

        return array_values(array_map(
            static fn (Node $row): array => [
                'kind' => $holder,
                'id' => (int) $row->whole('id'),
                'title' => $row->text('title'),
            ],
            array_map(static fn (stdClass $row): Node => Node::of((array) $row), $rows),
        ));
    }
}
