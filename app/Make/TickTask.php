<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;

/** Writes down that a task at the counter was done, or takes that back. */
final class TickTask
{
    public function __construct(private readonly BatchPlan $plan)
    {
    }

    /**
     * @param  Closure(Batch): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws Refused|StaleWrite
     */
    public function __invoke(Batch $batch, TickRequest $asked, string $by, Closure $present): void
    {
        $task = $asked->string('task')->value();
        if ($this->plan->task($batch, $task) === null) {
            throw Refused::because('task', 'Nothing of the kind is done for this batch.');
        }
        $batch->revise($asked->integer('revision'), [], $present);
        $which = ['batch_id' => $batch->id, 'task' => $task];
        if ($asked->boolean('done')) {
            BatchStep::query()->firstOrCreate($which, [
                'by_name' => $by,
                'skipped' => trim($asked->string('skipped')->value()),
            ]);
        } else {
            BatchStep::query()->where($which)->delete();
        }
        $batch->unsetRelation('steps');
    }
}
