<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Head\Head;
use App\Make\Batch;
use App\Support\Refused;

/** Plans how a finished batch is used on a head, day by day; a patch test comes first. */
final class PlanRoutine
{
    /** @throws Refused */
    public function __invoke(RoutineRequest $asked): Routine
    {
        $head = Head::query()->findOrFail($asked->integer('head_id'));
        $batch = Batch::query()->findOrFail($asked->integer('batch_id'));
        if ($batch->state !== 'done') {
            throw Refused::because('batch_id', 'Only a finished batch can be used: finish making it first.');
        }
        if ($asked->string('starts_on')->value() < $batch->made_on->toDateString()) {
            throw Refused::because('starts_on', sprintf(
                'It was made on %s: the first day is that day or a later one.',
                $batch->made_on->format('j F Y'),
            ));
        }
        $routine = Routine::query()
            ->create(['head_id' => $head->id, 'batch_id' => $batch->id, ...$asked->columns()])
            ->refresh()
            ->load('batch');
        foreach ($routine->plan()->days() as $day) {
            RoutineDay::query()->create([
                'routine_id' => $routine->id,
                'date' => $day->date->format('Y-m-d'),
                'act' => $day->act->value,
            ]);
        }

        return $routine;
    }
}
