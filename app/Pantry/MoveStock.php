<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Crown\Pantry\Held;
use Crown\Pantry\LotSource;
use Crown\Pantry\MovementKind;
use Crown\Pantry\Taking;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** Writes down what comes to a lot and what leaves it; what is left is their sum. */
final class MoveStock
{
    /** Less than this is nothing, g. */
    private const NOTHING = 0.005;

    /** What a lot begins with. */
    public function begin(Lot $lot, float $grams, Carbon $on, string $by = '', ?MovementKind $why = null): void
    {
        $this->write($lot, $why ?? MovementKind::Made, $grams, $on, ['by_name' => $by]);
        $lot->update(['left_grams' => $grams]);
    }

    /** There is so much of it: the difference to what was thought came or left. */
    public function to(Lot $lot, float $grams, string $by, string $note = ''): void
    {
        $of = ['by_name' => $by, 'note' => $note];
        $this->write($lot, MovementKind::Counted, $grams - ($lot->left_grams ?? 0.0), Day::today(), $of);
        $this->left($lot, $grams, ['grams' => $lot->grams ?? $grams]);
    }

    /**
     * So much of it left, for a reason. What is more than was thought to be there was there all the same.
     *
     * @param  float  $grams more than 0
     * @param  array<string, mixed>  $of by whom, for what, to whom
     */
    public function out(Lot $lot, MovementKind $why, float $grams, Carbon $on, array $of): void
    {
        $known = $lot->left_grams;
        $found = max(0.0, $grams - ($known ?? 0.0));
        $this->write($lot, MovementKind::Corrected, $found, $on, $of);
        $this->write($lot, $why, -$grams, $on, $of);
        if ($known !== null) {
            $this->left($lot, round($known + $found - $grams, 6));
        }
    }

    /** Nothing of it is reckoned with any more. */
    public function empty(Lot $lot, MovementKind $why, string $by): void
    {
        if ($lot->left_grams !== null) {
            $this->write($lot, $why, -$lot->left_grams, Day::today(), ['by_name' => $by]);
            $lot->update(['left_grams' => null]);
        }
    }

    /**
     * Takes what a scale has shown from the lots of an ingredient, first to expire first.
     *
     * @param  array<string, mixed>  $of by whom and for what: batch_id or steep_id
     * @param  Carbon|null  $stood only from what stood there on that day: what was made before, came of nothing newer
     * @param  int|null  $chosen the lot that was taken first, where the maker said so
     */
    public function take(
        string $ingredient,
        float $grams,
        MovementKind $why,
        Carbon $on,
        array $of,
        ?Carbon $stood = null,
        ?int $chosen = null,
    ): Taking {
        $lots = self::usable($ingredient, $chosen)
            ->filter(static fn (Lot $l): bool => $stood === null || $l->came() <= $stood)
            ->keyBy('id');
        $held = $lots->map(static fn (Lot $l): Held => new Held(
            $l->id,
            // She took it from there: it cannot have been empty.
            $l->id === $chosen && $l->emptied_on !== null ? null : $l->left_grams,
            $l->useBy(),
        ))->values()->all();
        $taking = Taking::of(array_values($held), $grams, $chosen, $on->toDateString());
        foreach ($taking->takes as $take) {
            $lot = $lots->get($take->lot);
            if ($lot !== null) {
                $this->out($lot, $why, $take->grams, $on, $of);
            }
        }

        return $taking;
    }

    /**
     * Gives back all that was taken for a steep that was never begun, or what was added to it by one entry.
     *
     * @param  int|null  $event the entry; null for all of it
     */
    public function giveBack(int $steep, string $by, ?int $event = null): void
    {
        $sums = StockMovement::query()
            ->where('steep_id', $steep)
            ->when($event !== null, static fn ($q) => $q->where('event_id', $event))
            ->groupBy('lot_id', 'kind')
            ->selectRaw('lot_id, kind, sum(grams) as grams')
            ->get();
        foreach ($sums as $sum) {
            $lot = Lot::query()->lockForUpdate()->find($sum->lot_id);
            if ($lot !== null) {
                $of = ['by_name' => $by, 'steep_id' => $steep];
                $this->write($lot, MovementKind::from($sum->kind), -$sum->grams, Day::today(), $of);
                if ($lot->left_grams !== null) {
                    $this->left($lot, round($lot->left_grams - $sum->grams, 6));
                }
            }
        }
    }

    /**
     * What is left from now on; a bottle with nothing in it is off the shelf, and back on it when something is.
     *
     * @param  array<string, mixed>  $more
     */
    private function left(Lot $lot, float $grams, array $more = []): void
    {
        $lot->update([
            'left_grams' => $grams,
            'emptied_on' => $grams < self::NOTHING ? Day::today()->toDateString() : null,
            ...$more,
        ]);
    }

    /**
     * @param  int|null  $chosen the lot that was taken, although it may have been emptied or withdrawn since
     * @return \Illuminate\Database\Eloquent\Collection<int, Lot> lots of an ingredient that stand there, held
     */
    private static function usable(string $ingredient, ?int $chosen): \Illuminate\Database\Eloquent\Collection
    {
        $query = Lot::query()->lockForUpdate()->where(static fn (Builder $q): Builder => $q
            ->where(static fn (Builder $stands): Builder => $stands->whereNull('emptied_on')->where('withdrawn', ''))
            ->orWhere('id', $chosen));
        if (preg_match('/^'.Lot::OF_LOT.'(\d+)$/', $ingredient, $m) === 1) {
            return $query->where('id', $m[1])->get();
        }
        if (preg_match('/^'.Lot::OF_STEEP.'(\d+)$/', $ingredient, $m) === 1) {
            return $query->where('steep_id', $m[1])->whereNull('event_id')->get();
        }

        return $query->where('source', LotSource::Bought->value)->where('ingredient', $ingredient)->get();
    }

    /** @param  array<string, mixed>  $of */
    private function write(Lot $lot, MovementKind $kind, float $grams, Carbon $on, array $of): void
    {
        if (abs($grams) > 1e-9) {
            StockMovement::query()->create([
                'lot_id' => $lot->id,
                'kind' => $kind->value,
                'grams' => $grams,
                'on_date' => $on,
                ...$of,
            ]);
        }
    }
}
