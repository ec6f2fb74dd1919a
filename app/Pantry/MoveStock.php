<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Crown\Pantry\MovementKind;
use Illuminate\Support\Carbon;

/** Writes down what comes to a lot and what leaves it; what is left is their sum. */
final class MoveStock
{
    /** What a lot begins with. */
    public function begin(Lot $lot, float $grams, Carbon $on, string $by = ''): void
    {
        $this->write($lot, MovementKind::Made, $grams, $on, $by);
        $lot->update(['left_grams' => $grams]);
    }

    /** There is so much of it: the difference to what was thought came or left. */
    public function to(Lot $lot, float $grams, string $by): void
    {
        $this->write($lot, MovementKind::Counted, $grams - ($lot->left_grams ?? 0.0), Day::today(), $by);
        $lot->update(['left_grams' => $grams, 'grams' => $lot->grams ?? $grams]);
    }

    /** Nothing of it is reckoned with any more. */
    public function empty(Lot $lot, MovementKind $why, string $by): void
    {
        if ($lot->left_grams !== null) {
            $this->write($lot, $why, -$lot->left_grams, Day::today(), $by);
            $lot->update(['left_grams' => null]);
        }
    }

    private function write(Lot $lot, MovementKind $kind, float $grams, Carbon $on, string $by): void
    {
        if ($grams !== 0.0) {
            StockMovement::query()->create([
                'lot_id' => $lot->id,
                'kind' => $kind->value,
                'grams' => $grams,
                'on_date' => $on,
                'by_name' => $by,
            ]);
        }
    }
}
