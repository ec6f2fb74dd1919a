<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Formula\Bench;
use App\Head\Head;
use App\Make\Batch;
use App\Make\BatchPlan;
use App\Support\Refused;
use Crown\Rhythm\NewThings;
use Crown\Rhythm\OnHead;
use Crown\Rhythm\RoutineError;
use DateTimeImmutable;

/** Plans how a finished batch is used on a head, day by day; a patch test comes first. */
final class PlanRoutine
{
    public function __construct(private readonly Bench $bench, private readonly BatchPlan $plan)
    {
    }

    /** @throws Refused|RoutineError */
    public function __invoke(RoutineRequest $asked): Routine
    {
        $head = Head::query()->findOrFail($asked->integer('head_id'));
        $batch = Batch::query()->findOrFail($asked->integer('batch_id'));
        $this->canBeUsed($batch, $asked);
        $routine = new Routine(['head_id' => $head->id, 'batch_id' => $batch->id, ...$asked->columns()]);
        $routine->setRelation('batch', $batch);
        $routine->plan()->keepsUntilItIsRead();
        $this->mayGoOn($head, $batch, $routine);
        $routine->save();
        $routine = Routine::query()->with(['batch', 'sharing'])->findOrFail($routine->id);
        foreach ($routine->plan()->days() as $day) {
            RoutineDay::query()->create([
                'routine_id' => $routine->id,
                'date' => $day->date->format('Y-m-d'),
                'act' => $day->act->value,
            ]);
        }

        return $routine;
    }

    /** @throws Refused|RoutineError */
    private function canBeUsed(Batch $batch, RoutineRequest $asked): void
    {
        if ($batch->state !== 'done') {
            throw Refused::because('batch_id', 'Only a finished batch can be used: finish making it first.');
        }
        $withdrawn = $this->plan->withdrawn($batch);
        if ($withdrawn !== []) {
            throw RoutineError::withdrawn($withdrawn)->of('batch_id');
        }
        if ($asked->string('starts_on')->value() < $batch->made_on->toDateString()) {
            throw Refused::because('starts_on', sprintf(
                'It was made on %s: the first day is that day or a later one.',
                $batch->made_on->format('j F Y'),
            ));
        }
    }

    /** @throws RoutineError */
    private function mayGoOn(Head $head, Batch $batch, Routine $routine): void
    {
        $onHead = $this->bench->assess($batch->made(), $head->profile());
        OnHead::decide(
            $onHead,
            OnHead::stops($onHead, $this->bench->assess($batch->made(), null), $batch->although ?: null),
            NewThings::tooNear(new DateTimeImmutable($routine->starts_on->toDateString()), self::newOn($head, $batch)),
            $routine->although,
        );
    }

    /**
     * What else began on that head: the same made again is not new.
     *
     * @return array<string, DateTimeImmutable> by its name
     */
    private static function newOn(Head $head, Batch $batch): array
    {
        $others = Routine::query()
            ->with('batch:id,studio_id,title,formula_id')
            ->where('head_id', $head->id)
            ->get()
            ->reject(static fn (Routine $other): bool => $other->batch_id === $batch->id
                || ($batch->formula_id !== null && $other->batch->formula_id === $batch->formula_id));

        return $others
            ->mapWithKeys(static fn (Routine $other): array => [
                $other->batch->title => $other->starts_on->toDateTimeImmutable(),
            ])
            ->all();
    }
}
