<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use App\Pantry\StockMovement;
use Crown\Json\Node;
use Crown\Pantry\MovementKind;

/** What a steep cost: as it was written down, else by the bottles that went into it. */
final class SteepCosts
{
    /** What the scale cannot tell, g. */
    private const NOTHING = 0.05;

    /** Null where a part of it has no price. */
    public static function of(Steep $steep): ?float
    {
        return $steep->kept()->cost($steep->journal()) ?? self::byBottles($steep);
    }

    private static function byBottles(Steep $steep): ?float
    {
        $moved = StockMovement::query()
            ->where('steep_id', $steep->id)
            ->where('kind', MovementKind::Steep->value)
            ->get();
        $lots = Lot::query()->whereIn('id', $moved->pluck('lot_id'))->get()->keyBy('id');
        $money = $grams = 0.0;
        foreach ($moved as $movement) {
            $perGram = $lots->get($movement->lot_id)?->costPerGram();
            if ($perGram === null) {
                return null;
            }
            $grams -= $movement->grams;
            $money -= $movement->grams * $perGram;
        }

        // What came from no bottle has no price.
        return $grams > 0.0 && $grams >= self::wentIn($steep) - self::NOTHING ? $money : null;
    }

    /** Grams of herbs and oils, with what was added later. */
    private static function wentIn(Steep $steep): float
    {
        $document = Node::of($steep->document);
        $grams = 0.0;
        foreach ([...$document->objects('herbs'), ...$document->objects('oils')] as $part) {
            $grams += $part->number('grams') ?? 0.0;
        }
        foreach ($steep->journal() as $entry) {
            $grams += $entry->kind->adds() ? $entry->grams() : 0.0;
        }

        return $grams;
    }
}
