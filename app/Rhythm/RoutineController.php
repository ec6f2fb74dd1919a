<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Formula\Bench;
use App\Head\Head;
use App\Make\Batch;
use App\Studio\Day;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Assessment\Finding;
use Crown\Rhythm\DayState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Routines over HTTP: planned for a head, and ticked off day by day. */
final class RoutineController
{
    /** Each brings all its days along, up to some sixty of them. */
    private const A_PAGE = 20;

    public function __construct(private readonly Bench $bench)
    {
    }

    #[Speaks('RoutineList', does: 'Who uses what, and how often')]
    public function index(Request $request): JsonResponse
    {
        return Pages::answer(
            Routine::query()->with(['head', Routine::BATCH_IN_SHORT, 'days']),
            $request,
            fn (Routine $r): array => $this->view($r, false),
            size: self::A_PAGE,
        );
    }

    #[Speaks('Routine', 'RoutineDraft', 201, 'Plan how a finished batch is used on a head; a patch test comes first')]
    public function store(RoutineRequest $request): JsonResponse
    {
        $head = Head::query()->findOrFail($request->integer('head_id'));
        $batch = Batch::query()->findOrFail($request->integer('batch_id'));
        if ($batch->state !== 'done') {
            throw Refused::because('batch_id', 'Only a finished batch can be used: finish making it first.');
        }
        $routine = Routine::query()
            ->create(['head_id' => $head->id, 'batch_id' => $batch->id, ...$request->columns()])
            ->refresh()
            ->load('batch');
        foreach ($routine->plan()->days() as $day) {
            RoutineDay::query()->create([
                'routine_id' => $routine->id,
                'date' => $day->date->format('Y-m-d'),
                'act' => $day->act->value,
            ]);
        }

        return new JsonResponse($this->found($routine->id), 201);
    }

    #[Speaks('Routine', does: 'One routine with its days')]
    public function show(int $routine): JsonResponse
    {
        return new JsonResponse($this->found($routine));
    }

    #[Speaks('Routine', 'RoutineTick', does: 'Tick a day: done, skipped, reacted, or planned again')]
    public function tick(int $day, Request $request): JsonResponse
    {
        $request->validate(['state' => ['required', Rule::enum(DayState::class)]]);
        $state = DayState::from($request->string('state')->value());
        $row = RoutineDay::query()->lockForUpdate()->findOrFail($day);
        $routine = Routine::query()->lockForUpdate()->findOrFail($row->routine_id);
        $then = $routine->patchTest()->ticked($row->planned(), $state, Day::today()->toDateTimeImmutable());
        $row->update(['state' => $state->value]);
        $routine->update(['state' => $then->value]);

        return new JsonResponse($this->found($routine->id));
    }

    /** @return array<string, mixed> */
    private function found(int $id): array
    {
        return $this->view(
            Routine::query()
                ->with(['head', 'batch', 'days'])
                ->findOrFail($id),
            true,
        );
    }

    /** @return array<string, mixed> */
    private function view(Routine $routine, bool $whole): array
    {
        $plan = $routine->plan();
        $best = $routine->batch->best_before;

        return [
            'id' => $routine->id,
            'revision' => $routine->revision,
            'head' => $routine->head->name,
            'head_id' => $routine->head_id,
            'product' => $routine->batch->title,
            'batch_id' => $routine->batch_id,
            'state' => $routine->state,
            'per_week' => $routine->per_week,
            'grams_per_use' => $routine->grams_per_use,
            'grams_in_jar' => $routine->batch->net_grams,
            'starts_on' => $routine->starts_on->toDateString(),
            'empty_on' => $plan->emptyOn()->format('Y-m-d'),
            'best_before' => $best?->toDateString() ?? '',
            'worth_making_grams' => $best === null ? 0.0 : $plan->gramsUntil($best->toDateTimeImmutable()),
            'uses_in_jar' => $plan->usesInJar(),
            'way' => $routine->way,
            'days' => $routine->days
                ->map(
                    static fn (RoutineDay $d): array => [
                        'id' => $d->id,
                        // A list has hundreds of them: no date is made of each.
                        'date' => $d->day(),
                        'act' => $d->act,
                        'words' => $d->kind()->words($routine->batch->title),
                        'state' => $d->state,
                    ],
                )
                ->all(),
            'cautions' => [
                'One new thing at a time: two weeks before the next.',
                'A change in length cannot be told before about three months, in shedding before six to twelve weeks.',
                'Sudden or patchy loss, pain, sores or a spreading rash: see a clinician first.',
            ],
            'fit' => $whole
                ? array_values(
                    array_filter(
                        $this->bench->assess($routine->batch->composed(), $routine->head->profile())->findings,
                        static fn (Finding $f): bool => $f->severity->rank() < 2,
                    ),
                )
                : [],
        ];
    }
}
