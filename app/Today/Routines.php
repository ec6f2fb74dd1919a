<?php

declare(strict_types=1);

namespace App\Today;

use App\Rhythm\Routine;
use App\Rhythm\RoutineDay;
use Crown\Rhythm\Act;
use Crown\Rhythm\PatchTest;
use Crown\Rhythm\RoutineState;
use Illuminate\Support\Carbon;

/** What is to be put on a head, and how long the jar still lasts. */
final class Routines implements NeedsHands
{
    /** Older applications that were never ticked are past doing. */
    private const DAYS_BACK = 3;

    private const MOST_DAYS = 200;

    private const MOST_RUNNING = 50;

    public function on(Carbon $today): Work
    {
        return new Work($this->items($today), $this->shelf($today));
    }

    /** @return list<TodayItem> */
    private function items(Carbon $today): array
    {
        $due = RoutineDay::query()
            ->with(['routine.head', 'routine.'.Routine::BATCH_IN_SHORT])
            ->where('state', 'planned')
            ->whereRelation('routine', 'state', '!=', 'stopped')
            ->whereBetween('date', [$today->copy()->subDays(self::DAYS_BACK)->toDateString(), $today->toDateString()])
            ->orderBy('date')
            ->limit(self::MOST_DAYS)
            ->get();
        $items = [];
        foreach ($due as $day) {
            $test = new PatchTest(RoutineState::from($day->routine->state), true);
            if ($test->holdsBack($day->kind())) {
                continue;
            }
            $items[] = new TodayItem(
                $day->act,
                $day->id,
                $day->date->toDateString(),
                $day->date->isBefore($today),
                sprintf(
                    '%s: %s',
                    $day->routine->head->name,
                    lcfirst($day->kind()->words($day->routine->batch->title)),
                ),
                '/rhythm/'.$day->routine_id,
                $day->kind() === Act::PatchReading ? null : new Tick('routine-day', $day->id),
            );
        }

        return $items;
    }

    /** @return list<ShelfJar> */
    private function shelf(Carbon $today): array
    {
        $running = Routine::query()
            ->with(['head', Routine::BATCH_IN_SHORT])
            ->where('state', 'running')
            ->orderBy('id')
            ->limit(self::MOST_RUNNING)
            ->get();

        return array_values($running->map(static function (Routine $routine) use ($today): ShelfJar {
            $empty = $routine->plan()->emptyOn()->format('Y-m-d');
            $span = max(1, (int) $routine->starts_on->diffInDays($empty, false));

            return new ShelfJar(
                sprintf('%s, %s', $routine->batch->title, $routine->head->name),
                '/rhythm/'.$routine->id,
                $routine->starts_on->toDateString(),
                $empty,
                1.0 - min(1.0, max(0.0, $routine->starts_on->diffInDays($today, false) / $span)),
                sprintf('empty on %s', Carbon::parse($empty)->format('j M')),
                'liquid',
            );
        })->all());
    }
}
