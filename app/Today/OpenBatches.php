<?php

declare(strict_types=1);

namespace App\Today;

use App\Make\Batch;
use App\Make\BatchTimer;
use Illuminate\Support\Carbon;

/** Batches that were begun and are not closed, with the clock that runs for them. */
final class OpenBatches implements NeedsHands
{
    private const MOST = 50;

    public function on(Carbon $today): Work
    {
        $clocks = BatchTimer::query()->whereNull('stopped_at')->orderByDesc('ends_at')->get()->keyBy('batch_id');
        $open = Batch::query()
            ->where('state', 'open')
            ->orderBy('made_on')
            ->limit(self::MOST)
            ->get(['id', 'title', 'lot_code', 'made_on']);

        return new Work(array_values($open->map(static fn (Batch $batch): TodayItem => new TodayItem(
            'batch',
            $batch->id,
            $batch->made_on->toDateString(),
            false,
            trim(sprintf(
                'Finish making %s (lot %s). %s',
                $batch->title,
                $batch->lot_code,
                self::clock($clocks->get($batch->id)),
            )),
            '/make/'.$batch->id,
        ))->all()));
    }

    private static function clock(?BatchTimer $clock): string
    {
        return match (true) {
            $clock === null => '',
            $clock->ends_at->isPast() => sprintf('Its clock has run out: %s', $clock->label),
            default => sprintf('A clock runs: %s', $clock->label),
        };
    }
}
