<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Catalogue\StudioCatalogue;
use App\Formula\Bench;
use App\Make\BatchPlan;
use App\Pantry\Ancestry;
use App\Studio\Day;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Rhythm\Act;
use Crown\Rhythm\DayState;
use Crown\Rhythm\RoutineError;
use Illuminate\Http\JsonResponse;

/** Routines over HTTP: planned for a head, and ticked off day by day. */
final class RoutineController
{
    /** Each brings all its days along, up to some sixty of them. */
    private const A_PAGE = 20;

    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly BatchPlan $plan,
        private readonly Ancestry $ancestry,
    ) {
    }

    #[Speaks('RoutineList', does: 'Who uses what, and how often')]
    public function index(ListRequest $request): JsonResponse
    {
        $bad = $this->ancestry->calledBack()['batches'];

        return Pages::answer(
            Routine::query()->with(['head', ...Routine::FOR_PLAN, 'days']),
            $request,
            static fn (Routine $r): array => (new RoutineResource(
                $r,
                in_array($r->batch_id, $bad, true) ? ['Something in it went bad or was called back.'] : [],
            ))->toArray(),
            size: self::A_PAGE,
        );
    }

    #[Speaks('Routine', 'RoutineDraft', 201, 'Plan how a finished batch is used on a head; a patch test comes first')]
    public function store(RoutineRequest $request, PlanRoutine $plan): JsonResponse
    {
        return new JsonResponse($this->found($plan($request)->id), 201);
    }

    #[Speaks('Routine', does: 'One routine with its days')]
    public function show(int $routine): JsonResponse
    {
        return new JsonResponse($this->found($routine));
    }

    #[Speaks('Routine', 'RoutineTick', does: 'Tick a day: done, skipped, reacted, or planned again')]
    public function tick(int $day, TickDayRequest $request): JsonResponse
    {
        $state = $request->state();
        $row = RoutineDay::query()->lockForUpdate()->findOrFail($day);
        $routine = Routine::query()->lockForUpdate()->findOrFail($row->routine_id);
        if ($state === DayState::Done) {
            $this->canBeDone($routine, $row);
        }
        $then = $routine->patchTest()->ticked($row->planned(), $state, Day::today()->toDateTimeImmutable());
        $row->update(['state' => $state->value]);
        // Who ticked a day touched the routine, also when its state stays.
        $routine->fill(['state' => $then->value])->touch();

        return new JsonResponse($this->found($routine->id));
    }

    #[Speaks('', status: 204, does: 'Put a routine away; it can be brought back')]
    public function destroy(int $routine): JsonResponse
    {
        Routine::query()->findOrFail($routine)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Routine', does: 'Bring back a routine that was put away')]
    public function restore(int $routine): JsonResponse
    {
        Routine::query()->withTrashed()->findOrFail($routine)->restore();

        return new JsonResponse($this->found($routine));
    }

    /** @throws RoutineError of what must not go on a head */
    private function canBeDone(Routine $routine, RoutineDay $day): void
    {
        if ($day->kind() === Act::PatchReading) {
            return;
        }
        $withdrawn = $this->plan->withdrawn($routine->batch);
        if ($withdrawn !== []) {
            throw RoutineError::withdrawn($withdrawn);
        }
        $last = $routine->plan()->lastDay;
        if ($last !== null && $day->planned()->date > $last) {
            throw RoutineError::over();
        }
    }

    /** @return array<string, mixed> */
    private function found(int $id): array
    {
        $routine = Routine::query()
            ->with(['head', 'batch', 'sharing', 'days'])
            ->findOrFail($id);

        return (new RoutineResource(
            $routine,
            $this->plan->withdrawn($routine->batch),
            $this->bench,
            $this->catalogue->kitchen()->tools,
        ))->toArray();
    }
}
