<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Formula\Formula;
use App\Studio\IngredientUses;
use Crown\Assessment\Composition;
use Crown\Pantry\LotSource;
use Crown\Pantry\UseUp;

/** Formulas of the studio in which something that will not keep could go. */
final class FormulasThatUse
{
    private const MOST = 12;

    /** @return list<array<string, mixed>> that leave least of it over first */
    public static function up(Lot $lot, StudioCatalogue $catalogue, StudioStock $atHand): array
    {
        $left = $lot->left_grams ?? 0.0;
        if ($left <= 0.0 || $lot->batch_id !== null) {
            return [];
        }
        $ids = $lot->source === LotSource::Steeped->value && $lot->event_id === null
            ? [$lot->ingredientId(), Lot::OF_STEEP.$lot->steep_id]
            : [$lot->source === LotSource::Bought->value ? $lot->ingredient : $lot->ingredientId()];
        $formulas = Formula::query()
            ->whereIn('id', IngredientUses::of(IngredientUses::FORMULA, $ids))
            ->orderByDesc('updated_at')
            ->limit(self::MOST)
            ->get();
        $context = $catalogue->context();
        $stock = $atHand->grams();
        $items = [];
        foreach ($formulas as $formula) {
            $composition = Composition::of($formula->composed(), $context);
            $use = null;
            foreach ($ids as $id) {
                $use ??= UseUp::of($composition, $id, $left, $stock);
            }
            if ($use !== null) {
                $items[] = ['id' => $formula->id, 'title' => $formula->title, ...$use->jsonSerialize()];
            }
        }
        usort($items, static fn (array $a, array $b): int => $a['remains_grams'] <=> $b['remains_grams']);

        return $items;
    }
}
