<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\Refused;
use App\Support\StaleWrite;
use Closure;
use Crown\Make\Task;
use Crown\Make\TaskKind;

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
        $tasks = array_map(static fn (Task $t): TaskKind => $t->kind, $this->plan->sheet($batch)->tasks());
        if (! in_array($asked->task(), $tasks, true)) {
            throw Refused::because('task', 'Nothing of the kind is done for this batch.');
        }
        $batch->revise($asked->integer('revision'), [], $present);
        $which = ['batch_id' => $batch->id, 'task' => $asked->task()->value];
        if ($asked->boolean('done')) {
            BatchStep::query()->firstOrCreate($which, ['by_name' => $by]);
        } else {
            BatchStep::query()->where($which)->delete();
        }
        $batch->unsetRelation('steps');
    }
}
