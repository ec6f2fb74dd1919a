<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsStock;
use App\Studio\Day;
use Crown\Pantry\LotSource;
use Crown\Pantry\MovementKind;

/** What was bought and stands in the cupboard: one open lot of each ingredient, and how much is left of it. */
final class Cupboard implements KnowsStock
{
    public function __construct(private readonly MoveStock $move)
    {
    }

    public static function lot(string $ingredient): ?Lot
    {
        return self::lots()->where('ingredient', $ingredient)->first();
    }

    public function grams(): array
    {
        $grams = [];
        foreach (self::lots()->orderBy('ingredient')->get(['ingredient', 'left_grams']) as $lot) {
            $grams[$lot->ingredient] = $lot->left_grams;
        }

        return $grams;
    }

    /** It stands there; how much of it is not asked. */
    public function hold(string $ingredient): Lot
    {
        return self::lot($ingredient) ?? Lot::query()->create([
            'source' => LotSource::Bought->value,
            'ingredient' => $ingredient,
            'name' => '',
        ]);
    }

    /** There is so much of it; null when nobody knows. */
    public function count(string $ingredient, ?float $grams, string $by): void
    {
        $lot = $this->hold($ingredient);
        if ($grams === null) {
            $this->move->empty($lot, MovementKind::Unknown, $by);
        } else {
            $this->move->to($lot, $grams, $by);
        }
    }

    /** It is not there any more. */
    public function clear(string $ingredient, string $by): void
    {
        $lot = self::lot($ingredient);
        if ($lot !== null) {
            $this->move->empty($lot, MovementKind::Gone, $by);
            $lot->update(['emptied_on' => Day::today()->toDateString()]);
        }
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Lot> */
    private static function lots(): \Illuminate\Database\Eloquent\Builder
    {
        return Lot::query()->where('source', LotSource::Bought->value)->whereNull('emptied_on');
    }
}
