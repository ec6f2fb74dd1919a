<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Make\OverPour;
use Crown\Make\Put;
use Crown\Make\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** What helps the hand at the counter, over HTTP: clocks, the probe, and what too much of something does. */
final class CounterController
{
    /** Clocks that may run at once for one batch. */
    private const MOST_TIMERS = 20;

    private const MOST_READINGS = 2000;

    public function __construct(private readonly BatchPlan $plan)
    {
    }

    #[Speaks('OverPour', does: 'What it does when so much of a line went in, and what would put it right')]
    public function pour(int $batch, PourRequest $request, StudioCatalogue $catalogue): JsonResponse
    {
        $row = Batch::open($batch);
        $line = $this->plan->weighing($row, $request->string('line')->value());

        return new JsonResponse(OverPour::of(
            $this->plan->putting($row),
            $line,
            Put::weighed($request->float('grams')),
            $this->plan->of($row),
            $catalogue->context(),
        ));
    }

    #[Speaks('Batch', 'TimerAsk', 201, 'Start a clock for a task')]
    public function time(int $batch, TimerRequest $request): JsonResponse
    {
        $row = Batch::open($batch);
        $task = $this->task($row, $request->string('task')->value());
        if (BatchTimer::query()->where('batch_id', $row->id)->whereNull('stopped_at')->count() >= self::MOST_TIMERS) {
            throw Refused::because('minutes', sprintf('At most %d clocks at once.', self::MOST_TIMERS));
        }
        $now = $request->at();
        $label = trim($request->string('label')->value());
        BatchTimer::query()->create([
            'batch_id' => $row->id,
            'task' => $task->id(),
            'label' => $label !== '' ? $label : Str::limit($task->act, 60, '…'),
            'started_at' => $now,
            'ends_at' => $now->copy()->addMilliseconds((int) round($request->float('minutes') * 60_000)),
            'by_name' => User::nameIn($request),
        ]);

        return $this->answer($row, 201);
    }

    #[Speaks('Batch', does: 'Stop a clock, or say that its bell was heard')]
    public function stop(int $batch, int $timer): JsonResponse
    {
        $row = Batch::open($batch);
        BatchTimer::query()
            ->where('batch_id', $row->id)
            ->findOrFail($timer)
            ->update(['stopped_at' => Carbon::now()]);

        return $this->answer($row);
    }

    #[Speaks('Batch', 'ReadingAsk', 201, 'Write down what the probe shows')]
    public function read(int $batch, ReadingRequest $request): JsonResponse
    {
        $row = Batch::open($batch);
        $task = $this->task($row, $request->string('task')->value());
        if (BatchReading::query()->where('batch_id', $row->id)->count() >= self::MOST_READINGS) {
            throw Refused::because('celsius', sprintf('At most %d readings of one batch.', self::MOST_READINGS));
        }
        BatchReading::query()->create([
            'batch_id' => $row->id,
            'task' => $task->id(),
            'celsius' => $request->float('celsius'),
            'surroundings' => $request->string('where')->value(),
            'around_celsius' => $request->filled('around') ? $request->float('around') : null,
            'read_at' => $request->at(),
            'by_name' => User::nameIn($request),
        ]);

        return $this->answer($row, 201);
    }

    #[Speaks('Batch', does: 'Take back what the probe was said to show')]
    public function unread(int $batch, int $reading): JsonResponse
    {
        $row = Batch::open($batch);
        BatchReading::query()->where('batch_id', $row->id)->findOrFail($reading)->delete();

        return $this->answer($row);
    }

    private function task(Batch $batch, string $id): Task
    {
        return $this->plan->task($batch, $id) ?? throw Refused::because('task', 'This batch has no such task.');
    }

    private function answer(Batch $batch, int $status = 200): JsonResponse
    {
        return new JsonResponse((new BatchResource($batch->refresh(), $this->plan))->toArray(), $status);
    }
}
