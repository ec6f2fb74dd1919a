<?php

declare(strict_types=1);

namespace App\Today;

use App\Pantry\Ancestry;
use App\Rhythm\Routine;
use App\Rhythm\RoutineDay;
use App\Studio\Day;
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

    public function __construct(private readonly Ancestry $ancestry)
    {
    }

    public function on(Carbon $today): Work
    {
        $bad = $this->ancestry->calledBack()['batches'];

        return new Work([...$this->stopped($bad), ...$this->items($today, $bad)], $this->shelf($today, $bad));
    }

    /**
     * @param  list<int>  $bad batches that must not be used
     * @return list<TodayItem> a word on what is not gone on with
     */
    private function stopped(array $bad): array
    {
        if ($bad === []) {
            return [];
        }
        $all = Routine::query()
            ->with(['head', Routine::BATCH_IN_SHORT])
            ->whereIn('batch_id', $bad)
            ->where('state', '!=', RoutineState::Stopped->value)
            ->orderBy('id')
            ->limit(self::MOST_RUNNING)
            ->get();

        return array_values($all->map(static fn (Routine $routine): TodayItem => new TodayItem(
            'look',
            $routine->id,
            Day::today()->toDateString(),
            true,
            sprintf('%s: %s must not be used any more.', $routine->head->name, $routine->batch->title),
            '/rhythm/'.$routine->id,
        ))->all());
    }

    /**
     * @param  list<int>  $bad batches that must not be used
     * @return list<TodayItem>
     */
    private function items(Carbon $today, array $bad): array
    {
        $due = RoutineDay::query()
            ->with(['routine.head', ...array_map(static fn (string $of): string => 'routine.'.$of, Routine::FOR_PLAN)])
            ->where('state', 'planned')
            ->whereRelation('routine', 'state', '!=', 'stopped')
            ->whereDoesntHave('routine', static fn ($of) => $of->whereIn('batch_id', $bad))
            ->whereBetween('date', [$today->copy()->subDays(self::DAYS_BACK)->toDateString(), $today->toDateString()])
            ->orderBy('date')
            ->limit(self::MOST_DAYS)
            ->get();
        $items = [];
        foreach ($due as $day) {
            $test = new PatchTest(RoutineState::from($day->routine->state), true);
            $last = $day->routine->plan()->lastUse();
            if ($test->holdsBack($day->kind()) || ($last !== null && $day->day() > $last->format('Y-m-d'))) {
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

    /**
     * @param  list<int>  $bad batches that must not be used
     * @return list<ShelfJar>
     */
    private function shelf(Carbon $today, array $bad): array
    {
        $running = Routine::query()
            ->with(['head', ...Routine::FOR_PLAN])
            ->where('state', 'running')
            ->whereNotIn('batch_id', $bad)
            ->orderBy('id')
            ->limit(self::MOST_RUNNING)
            ->get();

        return array_values($running->map(static function (Routine $routine) use ($today): ShelfJar {
            $plan = $routine->plan();
            $end = $plan->lastUse() ?? $today->toDateTimeImmutable();
            $empty = $end->format('Y-m-d');
            $span = max(1, (int) $routine->starts_on->diffInDays($empty, false));

            return new ShelfJar(
                sprintf('%s, %s', $routine->batch->title, $routine->head->name),
                '/rhythm/'.$routine->id,
                $routine->starts_on->toDateString(),
                $empty,
                1.0 - min(1.0, max(0.0, $routine->starts_on->diffInDays($today, false) / $span)),
                match (true) {
                    $plan->gramsInJar === null => 'made fresh each time',
                    $end < $plan->emptyOn() => sprintf('keeps to %s', $end->format('j M')),
                    default => sprintf('empty on %s', $end->format('j M')),
                },
                'liquid',
            );
        })->all());
    }
}
