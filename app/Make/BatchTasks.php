<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Make\CoolingTrace;
use Crown\Make\Deviation;
use Crown\Make\Deviations;
use Crown\Make\ProbeReading;
use Crown\Make\Surroundings;
use Crown\Make\Task;
use Crown\Make\TaskDone;
use Crown\Make\TaskKind;
use Crown\Measure\Band;
use Illuminate\Database\Eloquent\Collection;

/** What is done at the counter for a batch, task by task, with what was done and read: $defs/Task. */
final class BatchTasks
{
    /** Minutes of whipping at which the bowl is foretold. */
    private const WHIPPED = [0, 5, 10, 15, 20, 30];

    /** @var Collection<int, BatchReading> */
    private readonly Collection $readings;

    public function __construct(private readonly Batch $batch, private readonly BatchPlan $plan)
    {
        $this->readings = BatchReading::query()
            ->where('batch_id', $batch->id)
            ->orderBy('read_at')
            ->orderBy('id')
            ->get();
    }

    /** @return list<array<string, mixed>> */
    public function rows(): array
    {
        return array_map($this->row(...), $this->plan->sheet($this->batch)->tasks());
    }

    /** @return list<string> what went otherwise than planned, in words */
    public function deviations(): array
    {
        $sheet = $this->plan->sheet($this->batch);
        $found = Deviations::of($sheet->weighings(), $this->batch->put(), $sheet->tasks(), $this->done());

        return array_map(static fn (Deviation $d): string => $d->words(), $found);
    }

    /** @return array<string, TaskDone> */
    private function done(): array
    {
        $done = [];
        foreach ($this->batch->steps as $step) {
            $last = $this->readings
                ->where('task', $step->task)
                ->filter(static fn (BatchReading $r): bool => $r->read_at <= $step->created_at->copy()->addSecond())
                ->last();
            $done[$step->task] = new TaskDone($step->skipped ?: null, $last?->celsius);
        }

        return $done;
    }

    /** @return array<string, mixed> */
    private function row(Task $task): array
    {
        $done = $this->batch->steps->firstWhere('task', $task->id());

        return [
            'id' => $task->id(),
            'kind' => $task->kind->value,
            'act' => $task->act,
            'gate' => $task->gate,
            'caution' => $task->caution ?? '',
            'lines' => $task->lines,
            'hers' => $task->hers->words ?? '',
            'doubt' => $task->hers->doubt ?? '',
            'waits' => $task->kind->isWaiting(),
            'done' => $done !== null,
            'skipped' => $done->skipped ?? '',
            'by' => $done->by_name ?? '',
            'at' => $done?->created_at->toIso8601String(),
            'volumes' => $task->kind === TaskKind::Whip ? $this->volumes() : [],
            'where' => Surroundings::during($task)->value,
            'cooling' => $this->cooling($task),
            'reading_id' => $this->readings->where('task', $task->id())->last()?->id,
        ];
    }

    /** @return list<array{minutes: int, millilitres: Band}> what is in the bowl while it is whipped */
    private function volumes(): array
    {
        $whipping = $this->plan->of($this->batch)->subject->whipping();

        return $whipping->isPossible()
            ? array_map(static fn (int $minutes): array => [
                'minutes' => $minutes,
                'millilitres' => $whipping->volume((float) $minutes),
            ], self::WHIPPED)
            : [];
    }

    /** What the probe has shown; null where it was not asked. */
    private function cooling(Task $task): ?CoolingTrace
    {
        $of = $this->readings->where('task', $task->id())->values();
        $last = $of->last();
        if ($last === null) {
            return null;
        }
        // Somewhere else it cools otherwise: only what was read where it stands now tells how fast.
        $here = $of->where('surroundings', $last->surroundings)->values();
        $first = $here->first() ?? $last;

        return CoolingTrace::of(
            array_values($here
                ->map(static fn (BatchReading $r): ProbeReading => new ProbeReading(
                    abs($r->read_at->diffInMilliseconds($first->read_at)) / 60_000,
                    $r->celsius,
                ))
                ->all()),
            $task->gate,
            $last->surroundings,
            $last->around_celsius ?? $last->surroundings->celsius(),
            $this->plan->of($this->batch)->subject,
        );
    }
}
