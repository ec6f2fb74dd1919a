<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsBottles;
use App\Studio\Day;
use Crown\Catalogue\Bottle;
use Crown\Json\Node;
use Crown\Pantry\LotSource;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;

/**
 * The bottle of each thing that is used next: the first to expire of those that have not, as at the counter. Where all
 * are past their day it is the one that was it last.
 */
final class LotBottles implements KnowsBottles
{
    public function bottles(): array
    {
        $rows = $this->standing()
            ->where('source', LotSource::Bought->value)
            ->groupBy('ingredient')
            ->selectRaw('ingredient, max(use_by) as last, min(case when use_by >= ? then use_by end) as next', [
                Day::today()->toDateString(),
            ])
            ->toBase()
            ->get();
        $bottles = [];
        foreach ($rows as $row) {
            $day = $row->next ?? $row->last;
            if (is_string($row->ingredient) && is_string($day)) {
                $bottles[$row->ingredient] = self::bottle($day, $row->next === null);
            }
        }

        return $bottles;
    }

    /** What was strained at once goes by the name of its jar too. */
    public function ofOils(): array
    {
        $today = Day::today()->toDateString();
        $rows = $this->standing()
            ->where('source', LotSource::Steeped->value)
            ->toBase()
            ->get(['id', 'steep_id', 'event_id', 'use_by']);
        $bottles = [];
        foreach (array_map(static fn (object $row): Node => Node::of((array) $row), $rows->all()) as $row) {
            $day = substr($row->text('use_by'), 0, 10);
            $bottle = self::bottle($day, $day < $today);
            $bottles[Lot::OF_LOT.$row->whole('id')] = $bottle;
            if (! $row->has('event_id')) {
                $bottles[Lot::OF_STEEP.$row->whole('steep_id')] = $bottle;
            }
        }

        return $bottles;
    }

    /** @return Builder<Lot> */
    private function standing(): Builder
    {
        return Lot::query()->whereNull('emptied_on')->where('withdrawn', '');
    }

    /** @param  string  $day as Lot::use_by has it: NEVER where nothing tells */
    public static function bottle(string $day, bool $past): Bottle
    {
        return new Bottle($day === Lot::NEVER ? null : new DateTimeImmutable($day), $past);
    }

    /**
     * Out of which bottles a jar was filled, as it was written down then.
     *
     * @param  list<string>  $ingredients that went in
     * @return array<string, Bottle> one for each of them, with no day where none was written down
     */
    public static function ofSteep(int $steep, array $ingredients): array
    {
        $days = StockMovement::query()
            ->join('lots', 'lots.id', '=', 'stock_movements.lot_id')
            ->where('stock_movements.steep_id', $steep)
            ->where('lots.source', LotSource::Bought->value)
            ->groupBy('lots.ingredient')
            ->selectRaw('lots.ingredient, min(lots.use_by) as day')
            ->toBase()
            ->pluck('day', 'ingredient');

        return array_map(
            static function (string $ingredient) use ($days): Bottle {
                $day = $days[$ingredient] ?? null;

                return self::bottle(is_string($day) ? $day : Lot::NEVER, false);
            },
            array_combine($ingredients, $ingredients),
        );
    }
}
