<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Formula\Formula;
use App\Papers\LabelWords;
use App\Studio\CurrentStudio;
use App\Studio\Studio;
use App\Support\Refused;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Exchange\FormulaFile;
use Crown\Formula\Formula as Composed;
use Crown\Make\Actuals;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Papers\Label;
use DateTimeImmutable;
use Illuminate\Support\Carbon;

/** Opens, fills and closes batches; every figure is the core's. */
final class BatchStore
{
    public function __construct(private readonly StudioCatalogue $catalogue, private readonly CurrentStudio $studio)
    {
    }

    public function open(Formula $formula, string $by, Carbon $on): Batch
    {
        if ($this->assess($formula->composed())->subject->composition->counted() === []) {
            throw Refused::because(
                'formula_id',
                'This formula has no line with a mass yet, so there is nothing to weigh.',
            );
        }

        return Batch::query()
            ->create([
                'formula_id' => $formula->id,
                'lot_code' => $this->nextLotCode($on),
                'title' => $formula->title,
                'kind' => $formula->kind,
                'made_on' => $on,
                'by_name' => $by,
                'document' => $formula->document,
                'weighings' => [],
            ])
            ->refresh();
    }

    /**
     * Closes a batch: what was weighed is judged anew and the label worked out; from here on it is a record.
     *
     * @return array<string, mixed> the columns to write
     */
    public function closed(Batch $batch, int $jars, float $jarMl, float $netGrams, string $note): array
    {
        $grams = [];
        foreach ($this->sheet($batch)->weighings() as $weighing) {
            $actual = $batch->weighings[$weighing->line]['grams'] ?? null;
            if ($actual === null) {
                throw Refused::because(
                    'weighings',
                    sprintf('%s has not been weighed yet. Weigh it, or enter 0 if it was left out.', $weighing->name),
                );
            }
            $grams[$weighing->line] = (float) $actual;
        }
        $actual = $this->assess(Actuals::of($batch->composed(), $grams));
        if ($actual->subject->composition->counted() === []) {
            throw Refused::because('weighings', 'Nothing was weighed, so there is no batch.');
        }
        if ($netGrams * $jars > $actual->subject->composition->totalGrams->high + 1.0) {
            throw Refused::because(
                'net_grams',
                sprintf(
                    '%d jars of %g g come to more than the %.0f g that were weighed.',
                    $jars,
                    $netGrams,
                    $actual->subject->composition->totalGrams->best,
                ),
            );
        }
        $label = new Label(
            $actual,
            $batch->lot_code,
            $netGrams,
            new DateTimeImmutable($batch->made_on->toDateString()),
            $this->studio->get()->maker,
        );

        return [
            'state' => 'done',
            'jars' => $jars,
            'jar_ml' => $jarMl,
            'net_grams' => $netGrams,
            'note' => $note,
            'best_before' => $label->bestBefore()->format('Y-m-d'),
            'actual' => json_decode((string) json_encode($actual), true),
            'label' => LabelWords::of($label, $batch->made_on),
        ];
    }

    /** @return array<string, mixed> as $defs/Batch */
    public function view(Batch $batch): array
    {
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
            'formula' => FormulaFile::write($batch->composed()),
            'weighings' => array_map(
                static fn (Weighing $w): array => self::weighing(
                    $w,
                    $batch->weighings[$w->line] ?? ['gathered' => false, 'grams' => null],
                ),
                $this->sheet($batch)->weighings(),
            ),
            'tasks' => array_map(
                static fn (Task $t): array => ['act' => $t->act, 'gate' => $t->gate],
                $this->sheet($batch)->tasks(),
            ),
            'planned' => $this->assess($batch->composed()),
            'actual' => $batch->actual,
            'label' => $batch->label,
            'withdrawn' => $this->withdrawn($batch),
            'findings' => BatchFinding::query()
                ->with('batch:id,made_on')
                ->where('batch_id', $batch->id)
                ->orderBy('on_date')
                ->orderBy('id')
                ->get()
                ->map(static fn (BatchFinding $f): array => $f->view())
                ->all(),
        ];
    }

    /**
     * Why it must not be used: an oil in it went bad or was thrown away since.
     *
     * @return list<string>
     */
    private function withdrawn(Batch $batch): array
    {
        $found = array_filter(
            $this->assess($batch->composed())->findings,
            static fn (Finding $f): bool => $f->code === 'lot.withdrawn',
        );

        return array_values(array_map(static fn (Finding $f): string => $f->message, $found));
    }

    public function sheet(Batch $batch): MakeSheet
    {
        return new MakeSheet($this->assess($batch->composed()), $this->studio->get()->kitchen()->scaleGrams);
    }

    private function assess(Composed $formula): Assessment
    {
        return Assessor::standard()->assess($formula, $this->catalogue->context());
    }

    /**
     * The day and a running number: 261124-1. Two who begin at once take turns: the studio is held until the
     * transaction ends.
     */
    private function nextLotCode(Carbon $on): string
    {
        Studio::query()
            ->whereKey($this->studio->get()->id)
            ->lockForUpdate()
            ->value('id');
        $day = $on->format('ymd');
        $taken
            = Batch::query()
                ->where('lot_code', 'like', $day.'-%')
                ->pluck('lot_code')
                ->map(static fn (string $code): int => (int) substr($code, 7))
                ->max() ?? 0;

        return sprintf('%s-%d', $day, $taken + 1);
    }

    /**
     * @param  array{gathered: bool, grams: float|int|null}  $state
     * @return array<string, mixed>
     */
    private static function weighing(Weighing $w, array $state): array
    {
        return [
            'line' => $w->line,
            'ingredient' => $w->ingredient,
            'name' => $w->name,
            'phase' => $w->phase->value,
            'phase_label' => $w->phase->label(),
            'target_grams' => round($w->targetGrams, 3),
            'tolerance_grams' => round($w->toleranceGrams, 3),
            'gathered' => $state['gathered'],
            'actual_grams' => $state['grams'],
            'within' => $state['grams'] === null ? null : $w->isWithin((float) $state['grams']),
        ];
    }
}
