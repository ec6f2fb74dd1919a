<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Formula\Bench;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Measure\Tools;
use Crown\Rhythm\DayState;
use Crown\Rhythm\Routine as Plan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** How a batch is used on a head: $defs/Routine. */
final class RoutineResource extends JsonResource
{
    /**
     * @param  list<string>  $withdrawn why it must not be used any more
     * @param  Bench|null  $bench where its batch is judged for its head; null in a list, which does not say it
     * @param  Tools|null  $tools what it is given with
     */
    public function __construct(
        private readonly Routine $routine,
        private readonly array $withdrawn,
        private readonly ?Bench $bench = null,
        private readonly ?Tools $tools = null,
    ) {
        parent::__construct($routine);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $routine = $this->routine;
        $plan = $routine->plan();
        $best = $routine->batch->best_before;

        return [
            'id' => $routine->id,
            'revision' => $routine->revision,
            'touched' => $routine->touched(),
            'head' => $routine->head->name,
            'head_id' => $routine->head_id,
            'product' => $routine->batch->title,
            'batch_id' => $routine->batch_id,
            'state' => $routine->state,
            'per_week' => $routine->per_week,
            'grams_per_use' => $routine->grams_per_use,
            'grams_in_jar' => $plan->gramsInJar,
            'jars' => $routine->batch->jars,
            'shared_by' => count($plan->others) + 1,
            'starts_on' => $routine->starts_on->toDateString(),
            'empty_on' => $plan->emptyOn()?->format('Y-m-d'),
            'ends_on' => $plan->lastUse()?->format('Y-m-d'),
            'ends_words' => $plan->endsWords() ?? '',
            'withdrawn' => $this->withdrawn,
            'although' => $routine->although,
            'best_before' => $best?->toDateString() ?? '',
            'store' => is_string($routine->batch->label['store'] ?? null) ? $routine->batch->label['store'] : '',
            'worth_making_grams' => $plan->worthMaking(),
            'strokes' => ($this->tools->pumps[0] ?? null)?->words($routine->grams_per_use) ?? '',
            'uses_in_jar' => $plan->usesInJar(),
            'way' => $routine->way,
            'days' => self::stillDone($routine, $plan, $this->withdrawn)
                ->map(
                    static fn (RoutineDay $d): array => [
                        'id' => $d->id,
                        // A list has hundreds of them: no date is made of each.
                        'date' => $d->day(),
                        'act' => $d->act,
                        'words' => $d->kind()->words($routine->batch->title),
                        'state' => $d->state,
                    ],
                )
                ->values()
                ->all(),
            'cautions' => [
                'One new thing at a time: two weeks before the next.',
                'A change in length cannot be told before about three months, in shedding before six to twelve weeks.',
                'Sudden or patchy loss, pain, sores or a spreading rash: see a clinician first.',
            ],
            'fit' => $this->fit($routine),
        ];
    }

    /**
     * What was done, and what is still to be: nothing is once it must not be used, or the jars are empty or past their
     * day.
     *
     * @param  list<string>  $withdrawn
     * @return Collection<int, RoutineDay>
     */
    private static function stillDone(Routine $routine, Plan $plan, array $withdrawn): Collection
    {
        $last = $plan->lastUse()?->format('Y-m-d');

        return $routine->days->filter(static fn (RoutineDay $d): bool => $d->state !== DayState::Planned->value
            || ($withdrawn === [] && ($last === null || $d->day() <= $last)));
    }

    /** @return list<array<string, mixed>> what speaks against it on that head */
    private function fit(Routine $routine): array
    {
        $of = $this->bench?->assess($routine->batch->made(), $routine->head->profile());
        $against = array_filter(
            $of === null ? [] : $of->findings,
            static fn (Finding $f): bool => $f->severity !== Severity::Note,
        );

        return $of === null ? [] : array_map($of->told(...), array_values($against));
    }
}
