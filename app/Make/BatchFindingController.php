<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Studio\Day;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Assessment\Assessor;
use Crown\Assessment\Whipping;
use Crown\Formula\ProductKind;
use Crown\Learning\Predicted;
use Crown\Make\Inspection;
use Illuminate\Http\JsonResponse;

/** What the maker found on a batch: it moves what is said of the next ones. */
final class BatchFindingController
{
    public function __construct(private readonly BatchPlan $plan, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Batch', 'BatchFindingDraft', 201, 'Say what was found on a finished batch')]
    public function store(int $batch, BatchFindingRequest $request): JsonResponse
    {
        $row = Batch::query()->findOrFail($batch);
        if ($row->state !== 'done') {
            throw Refused::because('state', 'Finish making it first; then say what you found.');
        }
        $inspection = new Inspection(
            ProductKind::from($row->kind),
            $row->made_on->toDateTimeImmutable(),
            $request->on(),
        );
        $inspection->check(
            Day::today()->toDateTimeImmutable(),
            $request->number('overrun_percent') !== null,
            $request->filled('state') || $request->isBad(),
        );
        $predicted = $this->predicted($row);
        $finding = (new BatchFinding())
            ->forceFill([
                'batch_id' => $row->id,
                ...$request->columns(),
                'family' => $predicted->family->value,
                'predicted_months' => $predicted->lifeMonths ?? 0.0,
                'whipped_pace' => Whipping::paceOf($this->catalogue->kitchen()->tools->mixer),
            ])
            ->setRelation('batch', $row);
        $says = $finding->note !== '' || $finding->signs() !== [];
        if (! $says || $finding->teaches()) {
            // Refuses what says nothing, and what cannot be.
            $finding->observation();
        }
        $finding->save();
        BadJars::say($finding);

        return new JsonResponse((new BatchResource($row, $this->plan))->toArray(), 201);
    }

    #[Speaks('Batch', does: 'Take a finding back')]
    public function destroy(int $finding): JsonResponse
    {
        $row = BatchFinding::query()->with('batch')->findOrFail($finding);
        $row->delete();
        BadJars::takeBack($row);

        return new JsonResponse((new BatchResource($row->batch, $this->plan))->toArray());
    }

    /** What the handbook alone says of what was truly weighed. */
    private function predicted(Batch $batch): Predicted
    {
        return Predicted::of(
            Assessor::standard()->assess(
                $batch->made(),
                $this->catalogue->context()->untaught(),
            ),
        );
    }
}
