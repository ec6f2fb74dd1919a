<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalogue\StudioCatalogue;
use App\Pantry\Lot;
use App\Pantry\LotWords;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** What is on the shelf and will not keep, for whoever may use it. */
final class UseFirst implements NeedsHands
{
    /** Days ahead in which it is to be used. */
    private const AHEAD = 14;

    /** Bottles that are named at most: nobody is nagged. */
    private const MOST = 3;

    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    public function on(Carbon $today): Work
    {
        if (Gate::denies('make')) {
            return new Work([]);
        }
        $lots = Lot::query()
            ->whereNull('emptied_on')
            ->where('withdrawn', '')
            ->where('use_by', '<=', $today->copy()->addDays(self::AHEAD)->toDateString())
            ->orderBy('use_by')
            ->orderBy('id')
            ->limit(self::MOST)
            ->get();

        return new Work(array_values($lots->map(fn (Lot $lot): TodayItem => new TodayItem(
            'use-first',
            $lot->id,
            $lot->use_by->toDateString(),
            $lot->use_by->isBefore($today),
            sprintf($this->words($lot, $today), LotWords::name($lot, $this->catalogue->get())),
            '/pantry/lots/'.$lot->id,
        ))->all()));
    }

    private function words(Lot $lot, Carbon $today): string
    {
        return match (true) {
            ! $lot->use_by->isBefore($today) => 'Use %s first.',
            LotWords::isWet($lot, $this->catalogue->get()) => '%s is past its day, and water is in it: throw it away.',
            default => '%s is past its day: smell it, and use or clear it.',
        };
    }
}
