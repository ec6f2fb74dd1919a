<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalogue\StudioCatalogue;
use App\Make\Batch;
use App\Make\BatchTimer;
use App\Make\DueChecks;
use App\Make\Orders;
use App\Pantry\Lot;
use App\Pantry\LotWords;
use App\Rhythm\Routine;
use App\Rhythm\RoutineDay;
use App\Steep\Steep;
use App\Studio\Day;
use App\Support\Speaks;
use Crown\Pantry\OrderPlan;
use Crown\Rhythm\Act;
use Crown\Rhythm\PatchTest;
use Crown\Rhythm\RoutineState;
use Crown\Steep\NextAct;
use Crown\Steep\NextKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** What needs hands now, and the shelf of what is under way. */
final class TodayController
{
    /** Older applications that were never ticked are past doing. */
    private const DAYS_BACK = 3;

    /** Days ahead in which what stands on the shelf is to be used. */
    private const DAYS_AHEAD = 14;

    /** Days ahead in which an order is named. */
    private const ORDERED_AHEAD = 3;

    /** Bottles that are named at most: nobody is nagged. */
    private const USED_FIRST = 3;

    #[Speaks('Today', does: 'What needs hands now')]
    public function __invoke(StudioCatalogue $catalogue, Orders $orders, DueChecks $checks): JsonResponse
    {
        $today = Day::today();
        [$steepItems, $steepShelf] = $this->steeps($catalogue, $today);
        [$routineItems, $routineShelf] = $this->routines($today);
        $items = [
            ...$steepItems,
            ...$this->batches(),
            ...$routineItems,
            ...self::useFirst($catalogue, $today),
            ...self::orders($orders, $today),
            ...self::toLookAt($checks, $today),
        ];
        usort($items, static fn (array $a, array $b): int => [$a['date'], $a['words']] <=> [$b['date'], $b['words']]);

        return new JsonResponse([
            'date' => $today->toDateString(),
            'items' => $items,
            'shelf' => [...$steepShelf, ...$routineShelf],
        ]);
    }

    /** @return array{list<array<string, mixed>>, list<array<string, mixed>>} */
    private function steeps(StudioCatalogue $catalogue, Carbon $today): array
    {
        $items = $shelf = [];
        $all = $catalogue->get();
        $running = Steep::query()
            ->with(['shakes', 'lots', 'events'])
            ->where('state', 'running')
            ->orderBy('started_on')
            ->limit(200)
            ->get();
        $ready = Steep::query()
            ->with(['shakes', 'lots', 'events'])
            ->where('state', 'strained')
            ->where('strained_on', '>=', $today->copy()->subDays(30)->toDateString())
            ->whereDoesntHave('events', static fn ($q) => $q->where('kind', 'ready'))
            ->orderBy('strained_on')
            ->limit(50)
            ->get();
        foreach ([...$running, ...$ready] as $steep) {
            $plan = $steep->plan($all);
            $place = '/steeps/'.$steep->id;
            $next = NextAct::of($plan, $steep->standing(), $today->toDateTimeImmutable());
            if ($next->isForHands() && $next->on <= $today->toDateTimeImmutable()) {
                $items[] = self::item(
                    $next->kind->value,
                    $steep->id,
                    $next->on->format('Y-m-d'),
                    $next->isOverdue(),
                    sprintf('%s: %s', $steep->name, lcfirst($next->words())),
                    $next->kind === NextKind::Strain ? $place.'/strain' : $place,
                    self::tick($next->kind, $steep->id),
                );
            }
            if ($steep->state === 'running') {
                $day = max(0, (int) $steep->started_on->diffInDays($today, false));
                $stands = $plan->timeline->standsDays();
                $shelf[] = [
                    'name' => $steep->name,
                    'place' => $place,
                    'kind' => 'steep',
                    'from' => $steep->started_on->toDateString(),
                    'to' => $plan->timeline->strainDay()->format('Y-m-d'),
                    'fill' => min(1.0, $day / max(1, $stands)),
                    'words' => sprintf('day %d of %d', min($day, $stands), $stands),
                    'matter' => 'plant',
                ];
            }
        }

        return [$items, $shelf];
    }

    /** @return array{does: string, id: int}|null what one press on it says is done; null when more has to be said */
    private static function tick(NextKind $kind, int $steep): ?array
    {
        $does = match ($kind) {
            NextKind::Shake => 'shake',
            NextKind::StopShaking => 'settling',
            NextKind::Ready => 'ready',
            default => null,
        };

        return $does === null ? null : ['does' => $does, 'id' => $steep];
    }

    /**
     * What is on the shelf and will not keep: at most three, for whoever may use it.
     *
     * @return list<array<string, mixed>>
     */
    private static function useFirst(StudioCatalogue $catalogue, Carbon $today): array
    {
        if (Gate::denies('make')) {
            return [];
        }
        $lots = Lot::query()
            ->whereNull('emptied_on')
            ->where('withdrawn', '')
            ->where('use_by', '<=', $today->copy()->addDays(self::DAYS_AHEAD)->toDateString())
            ->orderBy('use_by')
            ->orderBy('id')
            ->limit(self::USED_FIRST)
            ->get();

        return array_values($lots->map(static fn (Lot $l): array => self::item(
            'use-first',
            $l->id,
            $l->use_by->toDateString(),
            $l->use_by->isBefore($today),
            sprintf(
                $l->use_by->isBefore($today) ? '%s is past its day: smell it, and use or clear it.' : 'Use %s first.',
                LotWords::name($l, $catalogue->get()),
            ),
            '/pantry/lots/'.$l->id,
        ))->all());
    }

    /** @return list<array<string, mixed>> orders whose jars have to be made in the days to come, or handed over */
    private static function orders(Orders $orders, Carbon $today): array
    {
        if (Gate::denies('make')) {
            return [];
        }
        $items = [];
        $ahead = self::ORDERED_AHEAD + OrderPlan::LEAD_DAYS;
        foreach ($orders->planned($today->copy()->addDays($ahead)->toDateString()) as [$order, $plan]) {
            $on = $plan->toMake > 0 ? $plan->makeBy->format('Y-m-d') : $order->due_on->toDateString();
            if ($on <= $today->copy()->addDays(self::ORDERED_AHEAD)->toDateString()) {
                $items[] = self::item(
                    'order',
                    $order->id,
                    $on,
                    $on < $today->toDateString(),
                    sprintf('%d %s for %s. %s', $order->jars, $order->title, $order->who, $plan->words),
                    '/pantry/orders',
                );
            }
        }

        return $items;
    }

    /** @return list<array<string, mixed>> finished jars that have stood long enough to be looked at */
    private static function toLookAt(DueChecks $checks, Carbon $today): array
    {
        return array_map(static fn (array $due): array => self::item(
            'look',
            $due[0]->id,
            $due[1]->due->format('Y-m-d'),
            false,
            sprintf('Look at %s (lot %s): it has stood for %s.', $due[0]->title, $due[0]->lot_code, $due[1]->name),
            '/make/'.$due[0]->id,
        ), $checks->on($today));
    }

    /** @return list<array<string, mixed>> */
    private function batches(): array
    {
        $clocks = BatchTimer::query()->whereNull('stopped_at')->orderByDesc('ends_at')->get()->keyBy('batch_id');

        return array_values(
            Batch::query()
                ->where('state', 'open')
                ->orderBy('made_on')
                ->limit(50)
                ->get(['id', 'title', 'lot_code', 'made_on'])
                ->map(
                    static fn (Batch $b): array => self::item(
                        'batch',
                        $b->id,
                        $b->made_on->toDateString(),
                        false,
                        trim(sprintf(
                            'Finish making %s (lot %s). %s',
                            $b->title,
                            $b->lot_code,
                            self::clock($clocks->get($b->id)),
                        )),
                        '/make/'.$b->id,
                    ),
                )
                ->all(),
        );
    }

    private static function clock(?BatchTimer $clock): string
    {
        return match (true) {
            $clock === null => '',
            $clock->ends_at->isPast() => sprintf('Its clock has run out: %s', $clock->label),
            default => sprintf('A clock runs: %s', $clock->label),
        };
    }

    /** @return array{list<array<string, mixed>>, list<array<string, mixed>>} */
    private function routines(Carbon $today): array
    {
        $items = $shelf = [];
        $due = RoutineDay::query()
            ->with(['routine.head', 'routine.'.Routine::BATCH_IN_SHORT])
            ->where('state', 'planned')
            ->whereRelation('routine', 'state', '!=', 'stopped')
            ->whereBetween('date', [$today->copy()->subDays(self::DAYS_BACK)->toDateString(), $today->toDateString()])
            ->orderBy('date')
            ->limit(200)
            ->get();
        foreach ($due as $day) {
            $test = new PatchTest(RoutineState::from($day->routine->state), true);
            if ($test->holdsBack($day->kind())) {
                continue;
            }
            $words = sprintf(
                '%s: %s',
                $day->routine->head->name,
                lcfirst($day->kind()->words($day->routine->batch->title)),
            );
            $items[] = self::item(
                $day->act,
                $day->id,
                $day->date->toDateString(),
                $day->date->isBefore($today),
                $words,
                '/rhythm/'.$day->routine_id,
                $day->kind() === Act::PatchReading ? null : ['does' => 'routine-day', 'id' => $day->id],
            );
        }
        foreach (
            Routine::query()
                ->with(['head', Routine::BATCH_IN_SHORT])
                ->where('state', 'running')
                ->orderBy('id')
                ->limit(50)
                ->get() as $routine
        ) {
            $empty = $routine->plan()->emptyOn()->format('Y-m-d');
            $span = max(1, (int) $routine->starts_on->diffInDays($empty, false));
            $shelf[] = [
                'name' => sprintf('%s, %s', $routine->batch->title, $routine->head->name),
                'place' => '/rhythm/'.$routine->id,
                'kind' => 'routine',
                'from' => $routine->starts_on->toDateString(),
                'to' => $empty,
                'fill' => 1.0 - min(1.0, max(0.0, $routine->starts_on->diffInDays($today, false) / $span)),
                'words' => sprintf('empty on %s', Carbon::parse($empty)->format('j M')),
                'matter' => 'liquid',
            ];
        }

        return [$items, $shelf];
    }

    /**
     * @param  array{does: string, id: int}|null  $tick
     * @return array<string, mixed>
     */
    private static function item(
        string $kind,
        int $id,
        string $date,
        bool $overdue,
        string $words,
        string $place,
        ?array $tick = null,
    ): array {
        return [
            'key' => $kind.'-'.$id,
            'date' => $date,
            'overdue' => $overdue,
            'words' => $words,
            'kind' => $kind,
            'place' => $place,
            'tick' => $tick,
        ];
    }
}
