<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use App\Pantry\NextBottles;
use Crown\Assessment\Whipping;
use Crown\Formula\FormulaDocument;
use Crown\Formula\ProductKind;
use Crown\Make\BatchYield;
use Crown\Make\Check;
use Crown\Make\Put;
use Crown\Make\Sign;
use Crown\Make\Weighing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** A batch at the counter, or the record of it: $defs/Batch. */
final class BatchResource extends JsonResource
{
    public function __construct(private readonly Batch $batch, private readonly BatchPlan $plan)
    {
        parent::__construct($batch);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $batch = $this->batch->loadMissing(['weighIns', 'steps']);
        $sheet = $this->plan->sheet($batch);
        $tasks = new BatchTasks($batch, $this->plan);
        // What a record took stands in its movements.
        $bottles = NextBottles::of($batch->state === 'open'
            ? array_map(static fn (Weighing $w): ?string => $w->ingredient, $sheet->weighings())
            : []);
        $withdrawn = $this->plan->withdrawn($batch);
        $found = BatchFinding::query()
            ->with('batch:id,made_on')
            ->where('batch_id', $batch->id)
            ->orderBy('on_date')
            ->orderBy('id')
            ->get();

        return [
            'id' => $batch->id,
            'revision' => $batch->revision,
            'lot_code' => $batch->lot_code,
            'title' => $batch->title,
            'kind' => $batch->kind,
            'formula_id' => $batch->formula_id,
            'state' => $batch->state,
            'made_on' => $batch->made_on->toDateString(),
            'by' => $batch->by_name,
            'jars' => $batch->jars,
            'jar_ml' => $batch->jar_ml,
            'net_grams' => $batch->net_grams,
            'note' => $batch->note,
            'although' => $batch->although,
            'formula' => FormulaDocument::write($batch->composed()),
            'weighings' => array_map(static fn (Weighing $w): array => self::weighing(
                $w,
                $batch->weighIns->firstWhere('line', $w->line),
                $bottles,
            ), $sheet->weighings()),
            'tasks' => $tasks->rows(),
            'deviations' => $tasks->deviations(),
            'rehearsal' => $batch->rehearsal,
            'timers' => $this->timers(),
            // The clocks of a record stand still.
            'now' => ($batch->state === 'open' ? Carbon::now() : $batch->made_on)->toIso8601ZuluString('millisecond'),
            'factor' => round($batch->factor, 4),
            'stops_now' => $batch->state === 'open' ? $this->plan->stopsNow($batch) : [],
            'yield' => $batch->state === 'open' ? null : $this->yield(),
            'inspected' => $batch->inspected,
            'sample_kept' => $batch->sample_kept,
            'written_on' => $batch->created_at?->toDateString(),
            'planned' => self::seen($this->plan->of($batch)->jsonSerialize()),
            'actual' => self::seen($batch->actualAsKept()),
            'label' => $batch->label,
            'air_percent' => $this->air(),
            'withdrawn' => $withdrawn,
            'shares_with' => $withdrawn === [] ? [] : $this->plan->sharing($batch),
            'shelf_lot' => $batch->state === 'open'
                ? null
                : Lot::query()->where('batch_id', $batch->id)->orderBy('id')->first(['id'])?->id,
            'beside' => $batch->state === 'open' ? [] : Siblings::of($batch),
            'checks' => $batch->state === 'open' ? [] : $this->checks($found),
            'bad_signs' => array_column(Sign::bad(), 'value'),
            'findings' => $found->map(static fn (BatchFinding $f): array => (new BatchFindingResource($f))->toArray())
                ->all(),
        ];
    }

    /** An assessment as JSON, without its prices for whom they are not. */
    private static function seen(mixed $assessment): mixed
    {
        return $assessment === null || Gate::allows('make') ? $assessment : [...(array) $assessment, 'cost' => null];
    }

    /** @return list<array<string, mixed>> clocks that run or ring */
    private function timers(): array
    {
        return array_values(BatchTimer::query()
            ->where('batch_id', $this->batch->id)
            ->whereNull('stopped_at')
            ->orderBy('ends_at')
            ->get()
            ->map(static fn (BatchTimer $t): array => [
                'id' => $t->id,
                'task' => $t->task,
                'label' => $t->label,
                'started_at' => $t->started_at->toIso8601ZuluString('millisecond'),
                'ends_at' => $t->ends_at->toIso8601ZuluString('millisecond'),
                'by' => $t->by_name,
            ])
            ->all());
    }

    /**
     * @param  Collection<int, BatchFinding>  $found
     * @return list<Check>
     */
    private function checks(Collection $found): array
    {
        return Check::of(
            $this->batch->made_on->toDateTimeImmutable(),
            array_values($found->map(static fn (BatchFinding $f) => $f->on_date->toDateTimeImmutable())->all()),
            $this->batch->best_before?->toDateTimeImmutable(),
        );
    }

    private function yield(): BatchYield
    {
        $batch = $this->batch;
        $weighed = array_sum(array_map(static fn (Put $p): float => $p->grams, $batch->put()));

        return new BatchYield($weighed, $batch->jars * $batch->net_grams, $batch->remainder_grams);
    }

    /** Only a whipped butter that is done took any. */
    private function air(): ?float
    {
        $actual = $this->batch->actual;
        if ($actual === null || $this->batch->kind !== ProductKind::WhippedButter->value) {
            return null;
        }
        $density = $actual['density_20c'] ?? null;
        // A marked bowl holds all of it; else the jars do, as long as they are full.
        [$millilitres, $grams] = $this->batch->bowl_ml === null
            ? [$this->batch->jar_ml, $this->batch->net_grams]
            : [$this->batch->bowl_ml, $this->yield()->weighed];
        $air = is_numeric($density) ? Whipping::found($millilitres, $grams, (float) $density) : null;

        return $air === null ? null : round($air);
    }

    /** @return array<string, mixed> */
    private static function weighing(Weighing $asked, ?WeighIn $there, NextBottles $on): array
    {
        $put = $there?->put();
        $near = $asked->near();
        $bottles = $on->for($asked->ingredient, max(0.001, $asked->targetGrams), $there?->lot_id);

        return [
            'line' => $asked->line,
            'ingredient' => $asked->ingredient ?? '',
            'name' => $asked->name,
            'phase' => $asked->phase->value,
            'phase_label' => $asked->phase->label(),
            'target_grams' => round($asked->targetGrams, 3),
            'tolerance_grams' => round($asked->toleranceGrams, 3),
            'target_drops' => $asked->drops,
            'drop_grams' => $asked->dropGrams === null ? null : round($asked->dropGrams, 4),
            'too_little' => $asked->isTooLittle(),
            'gathered' => $there->gathered ?? false,
            'actual_grams' => $put === null ? null : round($put->grams, 3),
            'more_grams' => $put === null || ! $asked->wants($put) ? null : round($asked->targetGrams - $put->grams, 3),
            'actual_drops' => $put?->drops,
            'how' => $put?->how->value,
            'within' => $put === null ? null : $asked->isMetBy($put),
            'near' => ['low' => round($near->low, 3), 'high' => round($near->high, 3)],
            'most_grams' => round($asked->mostGrams(), 3),
            'lot' => $there?->lot_id,
            'bottles' => $bottles,
            'other_bottles' => $on->others($asked->ingredient, $bottles),
        ];
    }
}
