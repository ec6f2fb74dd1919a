<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Support\Facades\DB;

/**
 * Which ingredients are named where, as rows, so that "where is it used?" is asked through an index. Filled by whatever
 * writes a document that names them.
 */
final class IngredientUses
{
    /** What holds such a document. */
    public const FORMULA = 'formula';

    public const BATCH = 'batch';

    public const STEEP = 'steep';

    /** An ingredient of the studio's own, which names what it is blended of. */
    public const OWN = 'own';

    /** Characters of an ingredient's id. */
    private const LONGEST = 80;

    /**
     * In the place of what was named there before.
     *
     * @param  array<array-key, mixed>  ...$documents in which ids stand under "ingredient", however deep
     */
    public static function keep(string $holder, int $id, array ...$documents): void
    {
        $named = self::named($documents);
        $there = DB::table('ingredient_uses')->where('holder', $holder)->where('holder_id', $id);
        $known = array_filter((clone $there)->pluck('ingredient')->all(), is_string(...));
        if (array_diff($known, $named) !== []) {
            $there->whereNotIn('ingredient', $named)->delete();
        }
        $studio = app(CurrentStudio::class)->get()->id;
        DB::table('ingredient_uses')->insertOrIgnore(
            array_map(
                static fn (string $ingredient): array => [
                    'studio_id' => $studio,
                    'ingredient' => $ingredient,
                    'holder' => $holder,
                    'holder_id' => $id,
                ],
                array_values(array_diff($named, $known)),
            ),
        );
    }

    public static function forget(string $holder, int $id): void
    {
        DB::table('ingredient_uses')->where('holder', $holder)->where('holder_id', $id)->delete();
    }

    /**
     * @param  list<string>  $ingredients
     * @return \Illuminate\Database\Query\Builder of the ids of what names any of them, for a whereIn
     */
    public static function of(string $holder, array $ingredients): \Illuminate\Database\Query\Builder
    {
        return DB::table('ingredient_uses')
            ->where('studio_id', app(CurrentStudio::class)->get()->id)
            ->whereIn('ingredient', $ingredients)
            ->where('holder', $holder)
            ->select('holder_id');
    }

    /**
     * @param  array<array-key, mixed>  $documents
     * @return list<string>
     */
    private static function named(array $documents): array
    {
        $found = [];
        array_walk_recursive($documents, static function (mixed $value, int|string $key) use (&$found): void {
            if ($key === 'ingredient' && is_string($value) && $value !== '' && strlen($value) <= self::LONGEST) {
                $found[$value] = $value;
            }
        });

        return array_values($found);
    }
}
