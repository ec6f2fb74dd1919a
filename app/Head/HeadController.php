<?php

declare(strict_types=1);

namespace App\Head;

use App\Support\BasedOn;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Head\Guide;
use Crown\Head\Scalp;
use Crown\Head\Sign;
use Illuminate\Http\JsonResponse;

/** Heads over HTTP: their profile, the marks on the crown map, and the questions that find a hair type. */
final class HeadController
{
    /** What a head is until it is said otherwise: only its name must be known. */
    private const UNKNOWN = [
        'strand' => 'not-known',
        'porosity' => 'not-known',
        'density' => 'not-known',
        'curl' => 'not-known',
        'scalp' => 'not-known',
        'age_band' => 'not-known',
        'pregnant' => false,
        'allergies' => [],
        'dislikes' => [],
        'wants' => [],
        'conditions' => [],
        'signs' => [],
        'style' => 'not-known',
        'hardness' => 'not-known',
        'wash_every_days' => 0,
        'note' => '',
    ];

    #[Speaks('HeadList', does: 'The heads this studio cares for')]
    public function index(ListRequest $request): JsonResponse
    {
        return Pages::answer(Head::query()->with('marks'), $request, HeadResource::of(...), ['name']);
    }

    #[Speaks('Head', 'HeadDraft', 201, 'Describe a new head')]
    public function store(HeadRequest $request): JsonResponse
    {
        return new JsonResponse(
            HeadResource::of(
                Head::query()
                    ->create([...self::UNKNOWN, ...$request->columns()])
                    ->refresh(),
            ),
            201,
        );
    }

    #[Speaks('Head', does: 'One head')]
    public function show(int $head): JsonResponse
    {
        return new JsonResponse(HeadResource::of(Head::query()->findOrFail($head)));
    }

    #[Speaks('Head', 'HeadSave', does: 'Change what is known of a head')]
    public function update(int $head, HeadRequest $request, BasedOn $basedOn): JsonResponse
    {
        $row = Head::query()->findOrFail($head);
        $row->revise($basedOn->revision(), $request->columns(), HeadResource::of(...));

        return new JsonResponse(HeadResource::of($row));
    }

    #[Speaks('', status: 204, does: 'Delete a head and everything kept of it')]
    public function destroy(int $head): JsonResponse
    {
        Head::query()->findOrFail($head)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Head', 'MarkDraft', 201, 'Mark the state of one zone of the scalp')]
    public function mark(int $head, MarkRequest $request): JsonResponse
    {
        $row = Head::query()->findOrFail($head);
        HeadMark::query()->create(['head_id' => $row->id, ...$request->columns()]);

        return new JsonResponse(HeadResource::of($row->unsetRelation('marks')), 201);
    }

    #[Speaks('Head', does: 'Take back a mark')]
    public function unmark(int $mark): JsonResponse
    {
        $row = HeadMark::query()->findOrFail($mark);
        $head = Head::query()->findOrFail($row->head_id);
        $row->delete();

        return new JsonResponse(HeadResource::of($head));
    }

    #[Speaks('Guide', does: 'Simple observations that find strand, porosity and scalp')]
    public function guide(): JsonResponse
    {
        return new JsonResponse([
            'questions' => array_map(
                static fn ($q): array => [
                    'id' => $q->id,
                    'trait' => $q->trait,
                    'asks' => $q->asks,
                    'answers' => array_map(
                        static fn ($a): array => ['id' => $a->id, 'words' => $a->words],
                        $q->answers,
                    ),
                    'limits' => $q->limits,
                ],
                Guide::questions(),
            ),
            'clinician' => [
                'scalp' => array_column(
                    array_filter(Scalp::cases(), static fn (Scalp $s): bool => $s->needsClinician()),
                    'value',
                ),
                'signs' => array_column(Sign::cases(), 'value'),
            ],
        ]);
    }

    #[Speaks('GuideAnswer', 'GuideAsk', does: 'What the answers speak for')]
    public function suggest(GuideRequest $request): JsonResponse
    {
        return new JsonResponse(['suggestions' => Guide::suggest($request->answers())]);
    }
}
