<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Steep\SteepMethod;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

final class SteepController
{
    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('SteepList', does: 'Every jar that is or was steeping')]
    public function index(Request $request): JsonResponse
    {
        $all = $this->catalogue->get();

        return Pages::answer(Steep::query()->with(['shakes', 'lot']), $request, static fn (Steep $s): array => SteepStore::view($s, $all));
    }

    #[Speaks('SteepPlan', 'SteepDraft', does: 'Work out a steep without starting it')]
    public function plan(Request $request): JsonResponse
    {
        return new JsonResponse(SteepStore::figures(SteepStore::plan($this->given($request), $this->catalogue->get())));
    }

    #[Speaks('Steep', 'SteepDraft', 201, 'Start a steep')]
    public function store(Request $request): JsonResponse
    {
        $steep = $this->given($request);
        $catalogue = $this->catalogue->get();
        $plan = SteepStore::plan($steep, $catalogue);
        $steep->name = $steep->name !== '' ? $steep->name : sprintf('%s in %s', $plan->plant->name, mb_strtolower($plan->oil->name));
        $steep->save();

        return new JsonResponse($this->view($steep->id), 201);
    }

    #[Speaks('Steep', does: 'One steep with its plan, its shakes and what came of it')]
    public function show(int $steep): JsonResponse
    {
        return new JsonResponse($this->view($steep));
    }

    #[Speaks('Steep', 'ShakeAsk', does: 'Tick or untick the shake of a day')]
    public function shake(int $steep, Request $request): JsonResponse
    {
        $given = $request->validate(['date' => 'required|date_format:Y-m-d', 'done' => 'required|boolean']);
        $row = Steep::query()->findOrFail($steep);
        $date = Carbon::parse($given['date']);
        SteepStore::mayShake($row, SteepStore::plan($row, $this->catalogue->get()), $date);
        if ($given['done']) {
            SteepShake::query()->firstOrCreate(['steep_id' => $row->id, 'date' => $date->toDateString()]);
        } else {
            SteepShake::query()->where('steep_id', $row->id)->whereDate('date', $date)->delete();
        }

        return new JsonResponse($this->view($row->id));
    }

    #[Speaks('Steep', 'StrainAsk', does: 'Strain it: its oil becomes a lot that formulas can use')]
    public function strain(int $steep, Request $request): JsonResponse
    {
        $given = $request->validate([
            'revision' => 'required|integer|min:1',
            'yield_grams' => 'required|numeric|gt:0',
            'loss_grams' => 'required|numeric|min:0',
        ], ['yield_grams.gt' => 'Weigh what came out: more than 0 g.']);
        $catalogue = $this->catalogue->get();
        DB::transaction(function () use ($steep, $given, $catalogue): void {
            $row = Steep::query()->findOrFail($steep);
            if ($row->state !== 'running') {
                throw new Refused('yield_grams', 'This steep has been strained already.', 409);
            }
            $plan = SteepStore::plan($row, $catalogue);
            SteepStore::strain($row, $plan, (float) $given['yield_grams'], (float) $given['loss_grams'], today());
            $row->revise((int) $given['revision'], ['state' => 'strained', 'strained_on' => today()->toDateString()], fn (Steep $s): array => $this->view($s->id));
        });

        return new JsonResponse($this->view($steep));
    }

    /** A steep as the maker describes it, not yet kept. */
    private function given(Request $request): Steep
    {
        $given = $request->validate([
            'name' => 'present|nullable|string|max:200',
            'plant' => 'required|string|max:80',
            'form' => 'required|string|max:20',
            'plant_grams' => 'required|numeric|gt:0|max:100000',
            'oil' => 'required|string|max:80',
            'oil_grams' => 'required|numeric|gt:0|max:100000',
            'method' => ['required', Rule::enum(SteepMethod::class)],
            'jar_ml' => 'required|numeric|min:0|max:100000',
            'diameter_cm' => 'required|numeric|min:0|max:100',
            'shaken_daily' => 'required|boolean',
            'started_on' => 'required|date_format:Y-m-d',
        ], ['plant_grams.gt' => 'The plant needs a mass above 0 g.', 'oil_grams.gt' => 'The oil needs a mass above 0 g.']);

        return new Steep([...$given, 'name' => $given['name'] ?? '']);
    }

    /** @return array<string, mixed> */
    private function view(int $id): array
    {
        return SteepStore::view(Steep::query()->with(['shakes', 'lot'])->findOrFail($id), $this->catalogue->get());
    }
}
