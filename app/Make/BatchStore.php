<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Formula\Formula;
use App\Pantry\Lot;
use App\Pantry\MoveStock;
use App\Studio\CurrentStudio;
use App\Studio\Studio;
use App\Support\Refused;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Formula\FormulaDocument;
use Crown\Make\BatchClosing;
use Crown\Make\LotCode;
use Crown\Make\MakeError;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Pantry\LotSource;
use Crown\Papers\Label;
use Illuminate\Support\Carbon;
use WeakMap;

/** Opens, fills and closes batches; every figure is the core's. */
final class BatchStore
{
    /** @var WeakMap<Batch, Assessment> what a batch was planned to be: its formula never changes */
    private readonly WeakMap $planned;

    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly MoveStock $move,
    ) {
        $this->planned = new WeakMap();
    }

    public function open(Formula $formula, string $by, Carbon $on): Batch
    {
        $planned = Assessor::standard()->assess($formula->composed(), $this->catalogue->context());
        if ($planned->subject->composition->counted() === []) {
            throw Refused::because(
                'formula_id',
                'This formula has no line with a mass yet, so there is nothing to weigh.',
            );
        }
        $batch = Batch::query()
            ->create([
                'formula_id' => $formula->id,
                'lot_code' => $this->nextLotCode($on),
                'title' => $formula->title,
                'kind' => $formula->kind,
                'made_on' => $on,
                'by_name' => $by,
                'document' => $formula->document,
            ])
            ->refresh();
        $this->planned[$batch] = $planned;

        return $batch;
    }

    /** What the scale showed for a line, or that it stands ready. */
    public function weigh(Batch $batch, string $line, bool $gathered, ?float $grams, string $by): void
    {
        WeighIn::query()->updateOrCreate(
            ['batch_id' => $batch->id, 'line' => $line],
            ['gathered' => $gathered, 'grams' => $grams, 'by_name' => $by],
        );
        $batch->unsetRelation('weighIns');
    }

    /**
     * What closes a batch: what was weighed is judged anew and the label worked out; from here on it is a record.
     *
     * @return array<string, mixed> the columns to write
     *
     * @throws MakeError
     */
    public function closed(Batch $batch, int $jars, float $jarMl, float $netGrams, string $note): array
    {
        $actual = BatchClosing::actual(
            $batch->composed(),
            $this->sheet($batch)->weighings(),
            $batch->weighed(),
            $jars,
            $netGrams,
            $this->catalogue->context(),
        );
        $label = new Label(
            $actual,
            $batch->lot_code,
            $netGrams,
            $batch->made_on->toDateTimeImmutable(),
            $this->studio->get()->maker,
        );

        return [
            'state' => 'done',
            'jars' => $jars,
            'jar_ml' => $jarMl,
            'net_grams' => $netGrams,
            'note' => $note,
            'best_before' => $label->bestBefore()->format('Y-m-d'),
            'actual' => $actual,
            'label' => LabelWords::of($label, $batch->made_on),
        ];
    }

    /** The jars that were filled stand on the shelf from now on. */
    public function shelve(Batch $batch): void
    {
        $grams = $batch->jars * $batch->net_grams;
        $lot = Lot::query()->create([
            'source' => LotSource::Made->value,
            'batch_id' => $batch->id,
            'name' => $batch->title,
            'grams' => $grams,
            'made_on' => $batch->made_on,
            'best_before' => $batch->best_before,
        ]);
        $this->move->begin($lot, $grams, $batch->made_on, $batch->by_name);
    }

    /** @return array<string, mixed> as $defs/Batch */
    public function view(Batch $batch): array
    {
        $batch->loadMissing('weighIns');
        $sheet = $this->sheet($batch);

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
            'formula' => FormulaDocument::write($batch->composed()),
            'weighings' => array_map(
                static fn (Weighing $w): array => self::weighing($w, $batch->weighIns->firstWhere('line', $w->line)),
                $sheet->weighings(),
            ),
            'tasks' => array_map(static fn (Task $t): array => ['act' => $t->act, 'gate' => $t->gate], $sheet->tasks()),
            'planned' => $this->planned($batch),
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

    public function sheet(Batch $batch): MakeSheet
    {
        return new MakeSheet($this->planned($batch), $this->studio->get()->kitchen()->scaleGrams);
    }

    /**
     * Why it must not be used: an oil in it went bad or was thrown away since.
     *
     * @return list<string>
     */
    private function withdrawn(Batch $batch): array
    {
        $found = array_filter(
            $this->planned($batch)->findings,
            static fn (Finding $f): bool => $f->code === 'lot.withdrawn',
        );

        return array_values(array_map(static fn (Finding $f): string => $f->message(), $found));
    }

    private function planned(Batch $batch): Assessment
    {
        return $this->planned[$batch] ??= Assessor::standard()->assess($batch->composed(), $this->catalogue->context());
    }

    /** Two who begin at once take turns: the studio is held until the transaction ends. */
    private function nextLotCode(Carbon $on): string
    {
        Studio::query()
            ->whereKey($this->studio->get()->id)
            ->lockForUpdate()
            ->value('id');
        $day = $on->toDateTimeImmutable();

        return LotCode::next(
            $day,
            array_values(
                Batch::query()
                    ->where('lot_code', 'like', LotCode::beginning($day).'%')
                    ->get(['lot_code'])
                    ->map(static fn (Batch $b): string => $b->lot_code)
                    ->all(),
            ),
        );
    }

    /** @return array<string, mixed> */
    private static function weighing(Weighing $asked, ?WeighIn $there): array
    {
        return [
            'line' => $asked->line,
            'ingredient' => $asked->ingredient,
            'name' => $asked->name,
            'phase' => $asked->phase->value,
            'phase_label' => $asked->phase->label(),
            'target_grams' => round($asked->targetGrams, 3),
            'tolerance_grams' => round($asked->toleranceGrams, 3),
            'gathered' => $there->gathered ?? false,
            'actual_grams' => $there?->grams,
            'within' => $there?->grams === null ? null : $asked->isWithin($there->grams),
        ];
    }
}
