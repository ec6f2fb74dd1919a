<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Pantry\Lot;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Steep\MethodTable;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Crown\Steep\Timing;
use Crown\Steep\WaterChoice;
use DateTimeImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

final class SteepController
{
    public function __construct(private readonly StudioCatalogue $catalogue, private readonly CurrentStudio $studio)
    {
    }

    #[Speaks('SteepList', does: 'Every jar that is or was steeping')]
    public function index(Request $request): JsonResponse
    {
        $all = $this->catalogue->get();

        return Pages::answer(
            Steep::query()->with(['shakes', 'lots', 'events']),
            $request,
            static fn (Steep $s): array => SteepView::row($s, $all),
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
    public function plan(Request $request): JsonResponse
    {
        $steep = $this->given($request);
        $all = $this->catalogue->get();
        $wanted = $request->validate(['wanted' => 'bail|nullable|'.Day::WRITTEN])['wanted'] ?? null;
        $learned = SteepStore::learned($steep, $all);
        $plan = SteepStore::plan($steep, $all, null, $learned);
        $today = new DateTimeImmutable(Day::today()->toDateString());
        $day = $wanted === null ? null : new DateTimeImmutable($wanted);

        return new JsonResponse([
            'plan' => [...SteepView::figures($plan), 'methods' => MethodTable::for($plan, $today, $day)],
            'usual_ratio' => $plan->usualRatio(),
            'herb_grams' => array_map(
                static fn (array $h): float => round((float) $h['grams'], 2),
                $steep->document['herbs'],
            ),
            'oil_grams' => array_map(
                static fn (array $o): float => round((float) $o['grams'], 2),
                $steep->document['oils'],
            ),
            'days_range' => $plan->method->daysRange(),
            'timing' => Timing::of($plan, $today, $day),
            'learned' => $learned,
            'name' => $this->nameOf($plan->plant()->name, $plan->oil()->name),
        ]);
    }

    #[Speaks('Steep', 'SteepDraft', 201, 'Start a steep')]
    public function store(Request $request): JsonResponse
    {
        $steep = $this->given($request);
        $plan = SteepStore::plan($steep, $this->catalogue->get());
        $steep->name = $steep->name !== '' ? $steep->name : $this->nameOf($plan->plant()->name, $plan->oil()->name);
        $steep->save();

        return new JsonResponse($this->view($steep->id), 201);
    }

    #[Speaks('Steep', does: 'One steep with its plan, its log and what came of it')]
    public function show(int $steep): JsonResponse
    {
        return new JsonResponse($this->view($steep));
    }

    #[Speaks('Steep', 'ShakeAsk', does: 'Tick or untick the shake of a day')]
    public function shake(int $steep, Request $request): JsonResponse
    {
        $given = $request->validate(['date' => Day::RULE, 'done' => 'required|boolean']);
        $row = $this->running($steep, 'date');
        $date = Carbon::parse($given['date']);
        $stop = SteepStore::plan($row, $this->catalogue->get())->stopShaking()->format('Y-m-d');
        if ($date->lessThan($row->started_on) || $date->greaterThan(Day::today()) || $date->greaterThan($stop)) {
            throw Refused::because(
                'date',
                sprintf(
                    'A shake can be ticked from %s to today, and no later than %s, when it is left to settle.',
                    $row->started_on->toDateString(),
                    $stop,
                ),
            );
        }
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
        $given = $request->validate(
            [
                'revision' => 'required|integer|min:1',
                'yield_grams' => 'required|numeric|gt:0|max:100000',
                'loss_grams' => 'required|numeric|min:0|max:100000',
                'choice' => ['sometimes', Rule::enum(WaterChoice::class)],
                'herb' => 'sometimes|in:kept,composted',
                'note' => 'sometimes|nullable|string|max:500',
            ],
            ['yield_grams.gt' => 'Weigh what came out: more than 0 g.'],
        );
        $catalogue = $this->catalogue->get();
        $row = $this->running($steep, 'yield_grams');
        $today = Day::today();
        $choice = WaterChoice::from($given['choice'] ?? 'kept');
        $plan = SteepStore::plan($row, $catalogue, $today);
        SteepStore::lot($row, $plan, (float) $given['yield_grams'], (float) $given['loss_grams'], $choice, $today);
        $herb
            = ($given['herb'] ?? 'composted') === 'kept'
                ? 'The herb is kept for another draw.'
                : 'The herb is composted.';
        SteepEvent::query()->create([
            'steep_id' => $row->id,
            'kind' => 'note',
            'on_date' => $today,
            'data' => ['colour' => '', 'smell' => ''],
            'note' => trim(sprintf('Strained. %s %s', $herb, $given['note'] ?? '')),
        ]);
        $row->revise(
            (int) $given['revision'],
            ['state' => 'strained', 'strained_on' => $today->toDateString()],
            fn (Steep $s): array => $this->view($s->id),
        );

        return new JsonResponse($this->view($steep));
    }

    #[Speaks('Steep', 'SpoilAsk', does: 'Give a jar up: mould, a bad smell. Every oil drawn from it is withdrawn')]
    public function spoil(int $steep, Request $request): JsonResponse
    {
        $row = Steep::held($steep);
        $given = $request->validate(
            ['revision' => 'required|integer|min:1', 'reason' => 'required|string|max:200'],
            ['reason.required' => 'Say what was found: mould, a sour smell, fizzing.'],
        );
        $today = Day::today();
        $reason = sprintf('%s (%s).', rtrim($given['reason'], '. '), $today->format('j F Y'));
        $row->revise(
            (int) $given['revision'],
            ['state' => 'spoiled', 'reason' => $reason],
            fn (Steep $s): array => $this->view($s->id),
        );
        Lot::query()
            ->where('steep_id', $row->id)
            ->where('withdrawn', '')
            ->update(['withdrawn' => $reason, 'withdrawn_on' => $today->toDateString()]);

        return new JsonResponse($this->view($steep));
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

    private function nameOf(string $plant, string $oil): string
    {
        return sprintf('%s in %s', $plant, mb_strtolower($oil));
    }

    /** A steep as the maker describes it, its amounts in grams, not yet kept. */
    private function given(Request $request): Steep
    {
        $given = $request->validate(
            [
                'name' => 'present|nullable|string|max:200',
                'herbs' => 'required|array|min:1|max:12',
                'herbs.*.ingredient' => 'required|string|max:80',
                'herbs.*.form' => 'required|string|max:20',
                'herbs.*.preparation' => ['required', Rule::enum(Preparation::class)],
                'herbs.*.amount' => 'required|string|max:120',
                'herbs.*.draw' => 'required|integer|between:1,3',
                'herbs.*.cost' => 'present|nullable|numeric|min:0|max:100000',
                'oils' => 'required|array|min:1|max:12',
                'oils.*.ingredient' => 'required|string|max:80',
                'oils.*.amount' => 'required|string|max:120',
                'oils.*.cost' => 'present|nullable|numeric|min:0|max:100000',
                'water_grams' => 'required|numeric|min:0|max:10000',
                'method' => ['required', Rule::enum(SteepMethod::class)],
                'celsius' => 'required|numeric|min:0|max:150',
                'minutes' => 'required|numeric|min:0|max:1440',
                'days' => 'required|integer|min:0|max:400',
                'jar_ml' => 'required|numeric|min:0|max:100000',
                'diameter_cm' => 'required|numeric|min:0|max:100',
                'mouth_cm' => 'required|numeric|min:0|max:100',
                'shaken_daily' => 'required|boolean',
                'pressed' => 'required|boolean',
                'started_on' => Day::RULE,
            ],
            [
                'herbs.required' => 'A steep needs at least one plant.',
                'oils.required' => 'A steep needs at least one oil.',
                'herbs.*.amount.required' => 'How much of this plant?',
                'oils.*.amount.required' => 'How much of this oil?',
            ],
        );
        $document = SteepStore::resolved(
            array_diff_key($given, ['name' => 1, 'started_on' => 1]),
            $this->catalogue->get(),
            $this->studio->get()->kitchen(),
            new DateTimeImmutable($given['started_on']),
        );

        return new Steep([
            'name' => $given['name'] ?? '',
            'started_on' => $given['started_on'],
            'document' => $document,
        ]);
    }

    /** @return array<string, mixed> */
    private function view(int $id): array
    {
        return SteepView::page(
            Steep::query()
                ->with(['shakes', 'lots', 'events', 'photos'])
                ->findOrFail($id),
            $this->catalogue->get(),
        );
    }
}
