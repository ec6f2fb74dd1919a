<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Assessment\Whipping;
use Crown\Formula\FormulaDocument;
use Crown\Formula\ProductKind;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

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
            'weighings' => array_map(
                static fn (Weighing $w): array => self::weighing($w, $batch->weighIns->firstWhere('line', $w->line)),
                $sheet->weighings(),
            ),
            'tasks' => array_map($this->task(...), $sheet->tasks()),
            'planned' => $this->plan->of($batch),
            'actual' => $batch->actualAsKept(),
            'label' => $batch->label,
            'air_percent' => $this->air(),
            'withdrawn' => $this->plan->withdrawn($batch),
            'findings' => BatchFinding::query()
                ->with('batch:id,made_on')
                ->where('batch_id', $batch->id)
                ->orderBy('on_date')
                ->orderBy('id')
                ->get()
                ->map(static fn (BatchFinding $f): array => (new BatchFindingResource($f))->toArray())
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    private function task(Task $task): array
    {
        $done = $this->batch->steps->firstWhere('task', $task->kind->value);

        return [
            'kind' => $task->kind->value,
            'act' => $task->act,
            'gate' => $task->gate,
            'done' => $done !== null,
            'by' => $done->by_name ?? '',
            'at' => $done?->created_at->toIso8601String(),
        ];
    }

    /** By its jars: only a whipped butter that is done took any, and its jars are full. */
    private function air(): ?float
    {
        $actual = $this->batch->actual;
        if ($actual === null || $this->batch->kind !== ProductKind::WhippedButter->value) {
            return null;
        }
        $density = $actual['density_20c'] ?? null;
        $air = is_numeric($density)
            ? Whipping::found($this->batch->jar_ml, $this->batch->net_grams, (float) $density)
            : null;

        return $air === null ? null : round($air);
    }

    /** @return array<string, mixed> */
    private static function weighing(Weighing $asked, ?WeighIn $there): array
    {
        $put = $there?->put();

        return [
            'line' => $asked->line,
            'ingredient' => $asked->ingredient,
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
            'actual_drops' => $put?->drops,
            'how' => $put?->how->value,
            'within' => $put === null ? null : $asked->isMetBy($put),
        ];
    }
}
