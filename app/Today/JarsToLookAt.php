<?php

declare(strict_types=1);

namespace App\Today;

use App\Make\DueCheck;
use App\Make\DueChecks;
use Illuminate\Support\Carbon;

/** Finished jars that have stood long enough to be looked at. */
final class JarsToLookAt implements NeedsHands
{
    public function __construct(private readonly DueChecks $checks)
    {
    }

    public function on(Carbon $today): Work
    {
        return new Work(array_map(static fn (DueCheck $due): TodayItem => new TodayItem(
            'look',
            $due->batch->id,
            $due->check->due->format('Y-m-d'),
            false,
            sprintf(
                'Look at %s (lot %s): it has stood for %s.',
                $due->batch->title,
                $due->batch->lot_code,
                $due->check->name,
            ),
            '/make/'.$due->batch->id,
        ), $this->checks->on($today)));
    }
}
