<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\Day;
use App\Studio\User;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Make\Weighing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Batches over HTTP: begun, weighed line by line, closed. */
final class BatchController
{
    public function __construct(private readonly BatchStore $store)
    {
    }

    #[Speaks('BatchList', does: 'Batches, newest first')]
    public function index(Request $request): JsonResponse
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
            ],
            ['title', 'lot_code'],
            ['open', 'done'],
        );
    }

    #[Speaks('Batch', 'BatchDraft', 201, 'Begin to make a formula')]
    public function store(Request $request): JsonResponse
    {
        $request->validate(['formula_id' => 'required|integer']);
        $batch = $this->store->open(
            Formula::query()->findOrFail($request->integer('formula_id')),
            self::by($request),
            Day::today(),
        );

        return new JsonResponse($this->store->view($batch), 201);
    }

    #[Speaks('Batch', does: 'One batch: what to gather and weigh, and the record of what was')]
    public function show(int $batch): JsonResponse
    {
        return new JsonResponse($this->store->view(Batch::query()->findOrFail($batch)));
    }

    #[Speaks('Batch', 'WeighAsk', does: 'Check off what is gathered, or enter what the scale shows')]
    public function weigh(int $batch, WeighRequest $request): JsonResponse
    {
        $row = $this->open($batch);
        $line = $request->string('line')->value();
        $lines = array_map(static fn (Weighing $w): string => $w->line, $this->store->sheet($row)->weighings());
        if (! in_array($line, $lines, true)) {
            throw Refused::because('line', 'This batch has no such line.');
        }
        $row->revise($request->integer('revision'), [], fn (Batch $b): array => $this->store->view($b));
        $this->store->weigh(
            $row,
            $line,
            $request->boolean('gathered'),
            $request->number('grams'),
            self::by($request),
        );

        return new JsonResponse($this->store->view($row));
    }

    #[Speaks('Batch', 'FinishAsk', does: 'Close the batch: it becomes a record with a label')]
    public function finish(int $batch, FinishRequest $request): JsonResponse
    {
        $row = $this->open($batch);
        $columns = $this->store->closed(
            $row,
            $request->integer('jars'),
            $request->float('jar_ml'),
            $request->float('net_grams'),
            $request->string('note')->value(),
        );
        $row->revise($request->integer('revision'), $columns, fn (Batch $b): array => $this->store->view($b));
        $this->store->shelve($row);

        return new JsonResponse($this->store->view($row));
    }

    private static function by(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? $user->name : '';
    }

    private function open(int $id): Batch
    {
        $row = Batch::query()->findOrFail($id);
        if ($row->state === 'done') {
            throw Refused::now('state', 'This batch is done. A record is not changed; make it again instead.');
        }

        return $row;
    }
}
