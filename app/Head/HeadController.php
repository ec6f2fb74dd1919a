<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\Day;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Need;
use Crown\Head\AgeBand;
use Crown\Head\Curl;
use Crown\Head\Density;
use Crown\Head\Guide;
use Crown\Head\Hardness;
use Crown\Head\Porosity;
use Crown\Head\Scalp;
use Crown\Head\Season;
use Crown\Head\Sign;
use Crown\Head\Strand;
use Crown\Head\Style;
use Crown\Head\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

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
    public function index(Request $request): JsonResponse
    {
        return Pages::answer(Head::query()->with('marks'), $request, HeadView::of(...), ['name']);
    }

    #[Speaks('Head', 'HeadDraft', 201, 'Describe a new head')]
    public function store(Request $request): JsonResponse
    {
        return new JsonResponse(
            HeadView::of(
                Head::query()
                    ->create([...self::UNKNOWN, ...$this->given($request)])
                    ->refresh(),
            ),
            201,
        );
    }

    #[Speaks('Head', does: 'One head')]
    public function show(int $head): JsonResponse
    {
        return new JsonResponse(HeadView::of(Head::query()->findOrFail($head)));
    }

    #[Speaks('Head', 'HeadSave', does: 'Change what is known of a head')]
    public function update(int $head, Request $request): JsonResponse
    {
        $row = Head::query()->findOrFail($head);
        $request->validate(['revision' => 'required|integer|min:1']);
        $row->revise($request->integer('revision'), $this->given($request), HeadView::of(...));

        return new JsonResponse(HeadView::of($row));
    }

    #[Speaks('', status: 204, does: 'Delete a head and everything kept of it')]
    public function destroy(int $head): JsonResponse
    {
        Head::query()->findOrFail($head)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Head', 'MarkDraft', 201, 'Mark the state of one zone of the scalp')]
    public function mark(int $head, Request $request): JsonResponse
    {
        $row = Head::query()->findOrFail($head);
        $request->validate([
            'zone' => ['required', Rule::enum(Zone::class)],
            'state' => ['required', Rule::enum(Scalp::class)],
            'on' => Day::RULE.'|before_or_equal:'.Day::today()->toDateString(),
            'note' => 'present|nullable|string|max:300',
        ]);
        HeadMark::query()->create([
            'head_id' => $row->id,
            'zone' => $request->string('zone')->value(),
            'state' => $request->string('state')->value(),
            'on_date' => $request->string('on')->value(),
            'note' => $request->string('note')->value(),
        ]);

        return new JsonResponse(HeadView::of($row->unsetRelation('marks')), 201);
    }

    #[Speaks('Head', does: 'Take back a mark')]
    public function unmark(int $mark): JsonResponse
    {
        $row = HeadMark::query()->findOrFail($mark);
        $head = Head::query()->findOrFail($row->head_id);
        $row->delete();

        return new JsonResponse(HeadView::of($head));
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
        ]);
    }

    #[Speaks('GuideAnswer', 'GuideAsk', does: 'What the answers speak for')]
    public function suggest(Request $request): JsonResponse
    {
        $request->validate(['answers' => 'present|array|max:40', 'answers.*' => 'string|max:40']);
        $answers = [];
        foreach ((array) $request->input('answers') as $question => $answer) {
            $answers[(string) $question] = is_string($answer) ? $answer : '';
        }

        return new JsonResponse(['suggestions' => Guide::suggest($answers)]);
    }

    /** @return array<string, mixed> */
    private function given(Request $request): array
    {
        $given = (array) $request->validate(
            [
                'name' => 'required|string|max:120',
                'strand' => ['sometimes', Rule::enum(Strand::class)],
                'porosity' => ['sometimes', Rule::enum(Porosity::class)],
                'density' => ['sometimes', Rule::enum(Density::class)],
                'curl' => ['sometimes', Rule::enum(Curl::class)],
                'scalp' => ['sometimes', Rule::enum(Scalp::class)],
                'age_band' => ['sometimes', Rule::enum(AgeBand::class)],
                'pregnant' => 'sometimes|boolean',
                'allergies' => 'sometimes|array|max:40',
                'allergies.*' => 'required|string|max:80',
                'dislikes' => 'sometimes|array|max:40',
                'dislikes.*.what' => 'required|string|max:80',
                'dislikes.*.season' => ['required', Rule::enum(Season::class)],
                'wants' => 'sometimes|array|max:17',
                'wants.*' => ['required', Rule::enum(Need::class)],
                'conditions' => 'sometimes|array|max:20',
                'conditions.*' => ['required', Rule::enum(Condition::class)],
                'signs' => 'sometimes|array|max:10',
                'signs.*' => ['required', Rule::enum(Sign::class)],
                'style' => ['sometimes', Rule::enum(Style::class)],
                'hardness' => ['sometimes', Rule::enum(Hardness::class)],
                'wash_every_days' => 'sometimes|integer|between:0,60',
                'note' => 'sometimes|nullable|string|max:2000',
            ],
            [
                'name.required' => 'A head needs a name, so that you know whose it is.',
                'wash_every_days.between' => 'Days between washes: 0 (not known) to 60.',
            ],
        );

        if (array_key_exists('note', $given)) {
            $given['note'] ??= '';
        }

        /** @var array<string, mixed> */
        return $given;
    }
}
