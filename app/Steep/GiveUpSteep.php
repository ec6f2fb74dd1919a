<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\Day;
use App\Support\StaleWrite;
use Closure;

/** Gives a jar up: every oil that was drawn from it is withdrawn. */
final class GiveUpSteep
{
    /**
     * @param  Closure(Steep): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws StaleWrite
     */
    public function __invoke(Steep $steep, SpoilRequest $asked, Closure $present): void
    {
        $today = Day::today()->toDateString();
        $steep->revise(
            $asked->integer('revision'),
            ['state' => 'spoiled', 'reason' => $asked->reason(), 'spoiled_on' => $today],
            $present,
        );
        SteepedLot::query()
            ->where('steep_id', $steep->id)
            ->where('withdrawn', '')
            ->update(['withdrawn' => $asked->reason(), 'withdrawn_on' => $today]);
    }
}
