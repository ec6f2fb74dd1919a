<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\User;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Jars over HTTP: planned, begun, shaken, strained, given up. */
final class SteepController
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly SteepStock $stock,
    ) {
    }

    #[Speaks('SteepList', does: 'Every jar that is or was steeping')]
    public function index(ListRequest $request): JsonResponse
    {
        $all = $this->catalogue->get();

        return Pages::answer(
            Steep::query()->with(['shakes', 'lots', 'events', 'poured']),
            $request,
            static fn (Steep $s): array => (new SteepRowResource($s, $s->plan($all), $all))->toArray(),
            ['name'],
            ['running', 'strained', 'spoiled'],
        );
    }

    #[Speaks(
        'SteepPlanned',
        'SteepAsk',
        does: 'Work out a steep without starting it: figures, all methods side by side, and whether it fits the day '
            .'wanted',
    )]
    public function plan(SteepDraftRequest $request): JsonResponse
    {
        $steep = $request->steep($this->catalogue, $this->studio);
        $all = $this->catalogue->get();
        $retention = PastSteeps::retention($steep, $all);
        $plan = $steep->plan($all, null, $retention);

        return new JsonResponse((new SteepPlannedResource(
            $steep,
            $plan,
            $all,
            $retention,
            $request->wanted(),
        ))->toArray());
    }

    #[Speaks('Steep', 'SteepDraft', 201, 'Start a steep')]
    public function store(SteepDraftRequest $request, BeginSteep $begin): JsonResponse
    {
        $steep = $begin(
            $request->steep($this->catalogue, $this->studio),
            User::nameIn($request),
            $request->string('although')->value(),
        );

        return new JsonResponse($this->page($steep->id), 201);
    }

    #[Speaks('Steep', does: 'One steep with its plan, its log and what came of it')]
    public function show(int $steep): JsonResponse
    {
        return new JsonResponse($this->page($steep));
    }

    #[Speaks('Steep', 'ShakeAsk', does: 'Tick or untick the shake of a day')]
    public function shake(int $steep, ShakeRequest $request, TickShake $tick): JsonResponse
    {
        $tick($this->running($steep, 'date'), $request);

        return new JsonResponse($this->page($steep));
    }

    #[Speaks('Steep', 'StrainAsk', does: 'Strain it: its oil becomes a lot that formulas can use')]
    public function strain(int $steep, StrainRequest $request, StrainSteep $strain): JsonResponse
    {
        $strain($this->running($steep, 'yield_grams'), $request, fn (Steep $s): array => $this->page($s->id));

        return new JsonResponse($this->page($steep));
    }

    #[Speaks('Steep', 'SpoilAsk', does: 'Give a jar up: mould, a bad smell. Every oil drawn from it is withdrawn')]
    public function spoil(int $steep, SpoilRequest $request, GiveUpSteep $giveUp): JsonResponse
    {
        $giveUp(Steep::held($steep), $request, fn (Steep $s): array => $this->page($s->id));

        return new JsonResponse($this->page($steep));
    }

    #[Speaks('', status: 204, does: 'Put a jar away; it can be brought back, and its oils stay')]
    public function destroy(int $steep, Request $request): JsonResponse
    {
        $row = Steep::held($steep);
        $this->stock->givenBack($row, User::nameIn($request));
        $row->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('Steep', does: 'Bring back a jar that was put away')]
    public function restore(int $steep, Request $request): JsonResponse
    {
        $row = Steep::query()->withTrashed()->findOrFail($steep);
        $row->restore();
        $this->stock->takenAgain($row, User::nameIn($request));

        return new JsonResponse($this->page($steep));
    }

    /** The jar, held; @throws Refused when there is nothing left to do in it */
    private function running(int $id, string $field): Steep
    {
        $row = Steep::held($id)->load(['shakes', 'lots', 'events']);
        if ($row->state !== 'running') {
            throw Refused::now(
                $field,
                $row->state === 'spoiled' ? 'This jar was given up.' : 'This steep has been strained already.',
            );
        }

        return $row;
    }

    /** @return array<string, mixed> */
    private function page(int $id): array
    {
        $tools = $this->catalogue->kitchen()->tools;

        return (new SteepResource(Steep::whole($id), $this->catalogue->get(), $tools))->toArray();
    }
}
