<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\BringsOils;
use App\Catalogue\KnowsStock;
use App\Pantry\Lot;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;

/** The oils that were steeped here, as ingredients and as stock. */
final class SteepedOils implements BringsOils, KnowsStock
{
    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    public function oils(array $corrections): array
    {
        $oils = [];
        $lots = $this->studio->rows(
            'lots',
            'id, name, event_id, made_on',
            "and lots.source = 'steeped' order by id",
        );
        foreach ($lots as $lot) {
            $number = (int) $lot->whole('id');
            $id = 'lot-'.$number;
            $oils[$id] = [
                Lot::titled($lot->text('name'), $lot->has('event_id'), $lot->text('made_on')),
                static fn (Catalogue $all): Ingredient => self::oil($number, $all, $corrections),
            ];
        }

        return $oils;
    }

    public function grams(): array
    {
        $grams = [];
        foreach (SteepedLot::query()->where('withdrawn', '')->orderBy('id')->get(['id', 'left_grams']) as $lot) {
            $grams[$lot->ingredientId()] = $lot->left_grams;
        }

        return $grams;
    }

    /** @param  list<Correction>  $corrections */
    private static function oil(int $number, Catalogue $all, array $corrections): Ingredient
    {
        $lot = SteepedLot::query()->with('steep.events')->findOrFail($number);
        $plan = $lot->steep->plan($all, $lot->made_on);
        $oil = $lot->yield($plan)->ingredient($lot->ingredientId(), $lot->title());
        foreach ($corrections as $correction) {
            $oil = $correction->ingredient === $oil->id ? $oil->corrected($correction) : $oil;
        }

        return $oil;
    }
}
