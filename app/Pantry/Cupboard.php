<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsStock;
use App\Studio\Day;
use Crown\Pantry\Held;
use Crown\Pantry\LotSource;
use Crown\Pantry\MovementKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What was bought and stands there, by ingredient: how much of each there is, over all its bottles. */
final class Cupboard implements KnowsStock
{
    public function __construct(private readonly MoveStock $move)
    {
    }

    /** The bottle of an ingredient that is to be used first; null where there is none. */
    public static function lot(string $ingredient): ?Lot
    {
        return self::lots()->where('ingredient', $ingredient)->orderBy('use_by')->orderBy('id')->first();
    }

    /** How much of it there is over all its bottles; null where nobody knows of one of them. */
    public static function left(string $ingredient): ?float
    {
        return self::sum(self::lots()->where('ingredient', $ingredient)->get());
    }

    public function grams(): array
    {
        $grams = [];
        $lots = self::lots()
            ->orderBy('ingredient')
            ->get(['ingredient', 'left_grams'])
            ->groupBy('ingredient');
        foreach ($lots as $ingredient => $of) {
            $grams[(string) $ingredient] = self::sum($of);
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

    /**
     * There is so much of it in all; null when nobody knows. Of several bottles the difference is in the first to be
     * used, and in the next when that one is empty.
     */
    public function count(string $ingredient, ?float $grams, string $by): void
    {
        $this->hold($ingredient);
        $lots = self::lots()->where('ingredient', $ingredient)->lockForUpdate()->get();
        if ($grams === null) {
            foreach ($lots as $lot) {
                $this->move->empty($lot, MovementKind::Unknown, $by);
            }

            return;
        }
        $order = Held::inOrder(array_values($lots
            ->map(static fn (Lot $l): Held => new Held($l->id, $l->left_grams, $l->useBy()))
            ->all()));
        $rest = $grams;
        // The last to be used is taken to be full first.
        foreach (array_reverse($order) as $n => $held) {
            $lot = $lots->firstWhere('id', $held->lot);
            $first = $n === count($order) - 1;
            $here = $first || $held->left === null ? $rest : min($rest, $held->left);
            $rest -= $here;
            if ($lot !== null && ($lot->left_grams === null || abs($lot->left_grams - $here) > 1e-9)) {
                $this->move->to($lot, $here, $by);
            }
        }
    }

    /** It is not there any more. */
    public function clear(string $ingredient, string $by): void
    {
        foreach (self::all()->where('ingredient', $ingredient)->get() as $lot) {
            $this->move->empty($lot, MovementKind::Gone, $by);
            $lot->update(['emptied_on' => Day::today()->toDateString()]);
        }
    }

    /** @param  Collection<int, Lot>  $lots */
    private static function sum(Collection $lots): ?float
    {
        $known = array_map(static fn (Lot $l): ?float => $l->left_grams, array_values($lots->all()));

        return $known === [] || in_array(null, $known, true) ? null : array_sum($known);
    }

    /** @return Builder<Lot> that may be used */
    private static function lots(): Builder
    {
        return self::all()->where('withdrawn', '');
    }

    /** @return Builder<Lot> */
    private static function all(): Builder
    {
        return Lot::query()->where('source', LotSource::Bought->value)->whereNull('emptied_on');
    }
}
