<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Learning\TextureFound;
use Crown\Make\BatchYield;

/** Other finished batches of the same formula, side by side with one. */
final class Siblings
{
    private const MOST = 12;

    /** @return list<array<string, mixed>> the newest first: $defs/BatchBeside */
    public static function of(Batch $batch): array
    {
        if ($batch->formula_id === null) {
            return [];
        }
        $rows = Batch::query()
            ->where('formula_id', $batch->formula_id)
            ->where('state', 'done')
            ->whereKeyNot($batch->id)
            ->withSum('weighIns as weighed', 'grams')
            ->orderByDesc('made_on')
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get(['id', 'lot_code', 'made_on', 'jars', 'net_grams', 'remainder_grams']);
        $found = BatchFinding::query()
            ->whereIn('batch_id', $rows->modelKeys())
            ->where('texture', '!=', '')
            ->orderBy('id')
            ->pluck('texture', 'batch_id');

        return array_values($rows->map(static function (Batch $b) use ($found): array {
            $weighed = $b->getAttribute('weighed');
            $texture = $found->get($b->id);

            return [
                'id' => $b->id,
                'lot_code' => $b->lot_code,
                'made_on' => $b->made_on->toDateString(),
                'jars' => $b->jars,
                'net_grams' => $b->net_grams,
                'yield' => new BatchYield(
                    is_numeric($weighed) ? (float) $weighed : 0.0,
                    $b->jars * $b->net_grams,
                    $b->remainder_grams,
                ),
                'texture' => TextureFound::tryFrom(is_string($texture) ? $texture : '')?->label() ?? '',
            ];
        })->all());
    }
}
