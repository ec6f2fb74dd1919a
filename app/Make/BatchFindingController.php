<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Studio\Day;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Assessment\Assessor;
use Crown\Formula\ProductKind;
use Crown\Learning\Observation;
use Crown\Learning\Predicted;
use Crown\Learning\TextureFound;
use Crown\Make\Actuals;
use Crown\Make\Inspection;
use DateTimeImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What the maker found on a batch: it moves what is said of the next ones. */
final class BatchFindingController
{
    public function __construct(private readonly BatchStore $store, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Batch', 'BatchFindingDraft', 201, 'Say what was found on a finished batch')]
    public function store(int $batch, Request $request): JsonResponse
    {
        $row = Batch::query()->findOrFail($batch);
        $given = $request->validate(
            [
                'on' => Day::RULE,
                'texture' => ['present', 'nullable', Rule::in(['', ...array_column(TextureFound::cases(), 'value')])],
                'overrun_percent' => 'nullable|numeric|min:0|max:'.Observation::MOST_OVERRUN,
                'whipped_minutes' => 'nullable|required_with:overrun_percent|numeric|gt:0|max:120',
                'state' => 'present|nullable|in:,good,off',
                'note' => 'present|nullable|string|max:500',
            ],
            [
                'whipped_minutes.required_with' => 'Say for how many minutes it was whipped.',
                'overrun_percent.max' => 'An overrun of 0 to 300 %.',
            ],
        );
        if ($row->state !== 'done') {
            throw Refused::because('state', 'Finish making it first; then say what you found.');
        }
        (new Inspection(
            ProductKind::from($row->kind),
            $row->made_on->toDateTimeImmutable(),
            new DateTimeImmutable($given['on']),
        ))->check(
            Day::today()->toDateTimeImmutable(),
            isset($given['overrun_percent']),
            ($given['state'] ?? '') !== '',
        );
        $predicted = $this->predicted($row);
        $finding = (new BatchFinding())
            ->forceFill([
                'batch_id' => $row->id,
                'on_date' => $given['on'],
                'texture' => $given['texture'] ?? '',
                'overrun_percent' => $given['overrun_percent'] ?? null,
                'whipped_minutes' => isset($given['overrun_percent']) ? $given['whipped_minutes'] : null,
                'state' => $given['state'] ?? '',
                'note' => $given['note'] ?? '',
                'family' => $predicted->family->value,
                'predicted_months' => $predicted->lifeMonths,
            ])
            ->setRelation('batch', $row);
        if ($finding->note === '' || $finding->teaches()) {
            // Refuses what says nothing, and what cannot be.
            $finding->observation();
        }
        $finding->save();

        return new JsonResponse($this->store->view($row), 201);
    }

    #[Speaks('Batch', does: 'Take a finding back')]
    public function destroy(int $finding): JsonResponse
    {
        $row = BatchFinding::query()->with('batch')->findOrFail($finding);
        $row->delete();

        return new JsonResponse($this->store->view($row->batch));
    }

    /** What the handbook alone says of what was truly weighed. */
    private function predicted(Batch $batch): Predicted
    {
        return Predicted::of(
            Assessor::standard()->assess(
                Actuals::of($batch->composed(), $batch->weighed()),
                $this->catalogue->context()->untaught(),
            ),
        );
    }
}
