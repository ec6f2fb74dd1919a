<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Assessment\WaterClass;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;
use Crown\Json\Node;
use Crown\Pantry\LotLife;
use Crown\Pantry\LotSource;
use Illuminate\Support\Facades\DB;

/** What is said of a lot, wherever it is said. */
final class LotWords
{
    /** Where nobody said where it stands, °C. */
    private const ROOM = 20.0;

    public static function name(Lot $lot, Catalogue $catalogue): string
    {
        return self::ingredient($lot, $catalogue)->name ?? ($lot->name !== '' ? $lot->title() : $lot->ingredient);
    }

    /**
     * How it is drawn.
     *
     * @param  string  $kind of the product, where it is a finished batch
     */
    public static function matter(Lot $lot, Catalogue $catalogue, string $kind): string
    {
        $made = ProductKind::tryFrom($kind)?->isSolid() === true ? IngredientKind::Butter : IngredientKind::ReadySteep;

        return (self::ingredient($lot, $catalogue)->kind ?? $made)->matter();
    }

    /**
     * What the finished batches among some lots are.
     *
     * @param  list<Lot>  $lots
     * @return array<int, string> a ProductKind by batch
     */
    public static function kinds(array $lots): array
    {
        $ids = array_filter(array_map(static fn (Lot $l): int => $l->batch_id ?? 0, $lots));
        $kinds = [];
        foreach ($ids === [] ? [] : DB::table('batches')->whereIn('id', $ids)->pluck('kind', 'id') as $id => $kind) {
            $kinds[(int) $id] = is_string($kind) ? $kind : '';
        }

        return $kinds;
    }

    /** Whether water is in it, or may be: what is past its day then is thrown away, not smelled at. */
    public static function isWet(Lot $lot, Catalogue $catalogue): bool
    {
        if ($lot->batch_id !== null) {
            $class = DB::table('batches')->where('id', $lot->batch_id)->value('actual->water_class');

            return WaterClass::tryFrom(is_string($class) ? trim($class, '"') : '')?->bearsWater() ?? true;
        }
        $id = $lot->source === LotSource::Bought->value ? $lot->ingredient : $lot->ingredientId();

        return ! $catalogue->has($id) || $catalogue->get($id)->freeWater('')->high > 0.0;
    }

    /** Until when it is to be used, by what stands on it and by where it stands. */
    public static function life(Lot $lot, Catalogue $catalogue): LotLife
    {
        $celsius = $lot->place_celsius ?? self::ROOM;
        $came = $lot->bought_on ?? $lot->made_on ?? $lot->created_at;
        if ($lot->source !== LotSource::Bought->value && $came !== null && $lot->best_before !== null) {
            return LotLife::made(
                $came->toDateTimeImmutable(),
                $lot->best_before->toDateTimeImmutable(),
                self::assumed($lot),
                $celsius,
            );
        }

        return LotLife::of(
            self::ingredient($lot, $catalogue),
            $came?->toDateTimeImmutable(),
            $lot->printed_on?->toDateTimeImmutable(),
            $lot->opened_on?->toDateTimeImmutable(),
            $lot->opened_months,
            $celsius,
        );
    }

    /** Where the day of its label takes it to stand, °C. */
    private static function assumed(Lot $lot): float
    {
        if ($lot->place_celsius === null || $lot->batch_id === null) {
            return self::ROOM;
        }
        $document = DB::table('batches')->where('id', $lot->batch_id)->value('document');
        $node = Node::of(is_string($document) ? (array) json_decode($document, true) : []);

        return $node->number('storage_c') ?? self::ROOM;
    }

    /** Of the catalogue; null for what was made here, and for what is not in it any more. */
    private static function ingredient(Lot $lot, Catalogue $catalogue): ?Ingredient
    {
        return $lot->source === LotSource::Bought->value && $catalogue->has($lot->ingredient)
            ? $catalogue->get($lot->ingredient)
            : null;
    }
}
