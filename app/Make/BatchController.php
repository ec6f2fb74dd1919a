<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Ancestry;
use App\Studio\User;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** Batches over HTTP: begun, weighed line by line, ticked task by task, closed. */
final class BatchController
{
    public function __construct(private readonly BatchPlan $plan, private readonly Ancestry $ancestry)
    {
    }

    #[Speaks('BatchList', does: 'Batches, newest first')]
    public function index(ListRequest $request): JsonResponse
    {
        $columns = [
            'id',
            'lot_code',
            'title',
            'kind',
            'state',
            'made_on',
            'by_name',
            'jars',
            'net_grams',
            'best_before',
            'updated_at',
        ];

        $bad = $this->ancestry->calledBack()['batches'];

        return Pages::answer(
            Batch::query()->select($columns),
            $request,
            static fn (Batch $b): array => [
                'id' => $b->id,
                'lot_code' => $b->lot_code,
                'title' => $b->title,
                'kind' => $b->kind,
                'state' => $b->state,
                'made_on' => $b->made_on->toDateString(),
                'by' => $b->by_name,
                'jars' => $b->jars,
                'net_grams' => $b->net_grams,
                'best_before' => $b->best_before?->toDateString(),
                'bad' => in_array($b->id, $bad, true),
            ],
            ['title', 'lot_code'],
            ['open', 'done'],
        );
    }

    #[Speaks('Batch', 'BatchDraft', 201, 'Begin to make a formula')]
    public function store(BeginRequest $request, BeginBatch $begin): JsonResponse
    {
        return new JsonResponse($this->view($begin(
            $request->formula(),
            User::nameIn($request),
            $request->string('although')->value(),
        )), 201);
    }

    #[Speaks('Batch', 'RehearsalDraft', 201, 'Rehearse a make: it is judged like any other, and is no batch')]
    public function rehearse(BeginRequest $request, Rehearse $rehearse): JsonResponse
    {
        return new JsonResponse($this->view($rehearse($request->formula(), User::nameIn($request))), 201);
    }

    #[Speaks('', status: 204, does: 'End a rehearsal: nothing of it is kept')]
    public function endRehearsal(int $batch): JsonResponse
    {
        Batch::rehearsals()->findOrFail($batch)->forceDelete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Batch', does: 'One batch: what to gather and weigh, and the record of what was')]
    public function show(int $batch): JsonResponse
    {
        return new JsonResponse($this->view(Batch::atCounter()->findOrFail($batch)));
    }

    #[Speaks('Batch', 'WeighAsk', does: 'Check off what is gathered, or enter what the scale shows')]
    public function weigh(int $batch, WeighRequest $request, WeighLine $weigh): JsonResponse
    {
        $row = Batch::open($batch);
        $weigh($row, $request, User::nameIn($request), $this->view(...));

        return new JsonResponse($this->view($row));
    }

    #[Speaks('Batch', 'TickAsk', does: 'Tick or untick a task at the counter')]
    public function tick(int $batch, TickRequest $request, TickTask $tick): JsonResponse
    {
        $row = Batch::open($batch);
        $tick($row, $request, User::nameIn($request), $this->view(...));

        return new JsonResponse($this->view($row));
    }

    #[Speaks('Batch', 'FinishAsk', does: 'Close the batch: it becomes a record with a label')]
    public function finish(int $batch, FinishRequest $request, CloseBatch $close): JsonResponse
    {
        $row = Batch::open($batch);
        if ($row->rehearsal) {
            throw Refused::because('state', 'This was only rehearsed: nothing of it is kept.');
        }
        $close($row, $request, $this->view(...));

        return new JsonResponse($this->view($row));
    }

    #[Speaks('JarCost', does: 'What a finished batch and a jar of it cost')]
    public function cost(int $batch, CostRequest $request, BatchCosts $costs): JsonResponse
    {
        $row = Batch::query()->with('weighIns')->findOrFail($batch);
        if ($row->state !== 'done') {
            throw Refused::now('state', 'What it cost is known when it is done.');
        }

        return new JsonResponse($costs->of($row, $request));
    }

    #[Speaks('', status: 204, does: 'Put an unfinished batch away; it can be brought back')]
    public function destroy(int $batch): JsonResponse
    {
        Batch::open($batch)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Batch', does: 'Bring back a batch that was put away')]
    public function restore(int $batch): JsonResponse
    {
        $row = Batch::query()->withTrashed()->findOrFail($batch);
        $row->restore();

        return new JsonResponse($this->view($row));
    }

    /** @return array<string, mixed> */
    private function view(Batch $batch): array
    {
        return (new BatchResource($batch, $this->plan))->toArray();
    }
}
