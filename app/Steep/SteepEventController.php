<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Steep\EntryKind;
use Crown\Steep\Preparation;
use Crown\Steep\Quantity;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** What happens to a jar while it stands: recorded, and everything worked out anew. */
final class SteepEventController
{
    public function __construct(private readonly StudioCatalogue $catalogue, private readonly CurrentStudio $studio)
    {
    }

    #[Speaks('Steep', 'SteepEventDraft', 201, 'Record what happened to a jar')]
    public function store(int $steep, Request $request): JsonResponse
    {
        $row = Steep::held($steep)->load(['events', 'lots']);
        $given = (array) $request->validate(
            [
                'kind' => ['required', Rule::enum(EntryKind::class)->only(EntryKind::written())],
                'on' => Day::RULE
                    .'|before_or_equal:'
                    .Day::today()->toDateString()
                    .'|after_or_equal:'
                    .$row->started_on->toDateString(),
                'note' => 'present|nullable|string|max:500',
                'colour' => 'sometimes|nullable|string|max:80',
                'smell' => 'sometimes|nullable|string|max:80',
                'sign' => 'required_if:kind,sign|string|max:200',
                'grams' => 'required_if:kind,weighed,drawn|numeric|gt:0|max:100000',
                'before' => 'required_if:kind,bowl|numeric|gt:0|max:100000',
                'after' => 'required_if:kind,bowl|numeric|gt:0|lte:before',
                'method' => ['required_if:kind,moved', Rule::enum(SteepMethod::class)],
                'ingredient' => 'required_if:kind,herb,oil|string|max:80',
                'form' => 'required_if:kind,herb|string|max:20',
                'preparation' => ['required_if:kind,herb', Rule::enum(Preparation::class)],
                'amount' => 'required_if:kind,herb,oil|string|max:120',
                'keep' => 'sometimes|boolean',
            ],
            [
                'on.after_or_equal' => 'It was not started yet on that day.',
                'on.before_or_equal' => 'That day has not come yet.',
                'after.lte' => 'The bowl cannot weigh more after heating than before.',
                'grams.required_if' => 'Weigh it: how many grams?',
            ],
        );
        $kind = EntryKind::from($request->string('kind')->value());
        if ($row->state !== 'running' && ! $kind->isForAfterwards()) {
            throw Refused::now('kind', 'This jar is not running any more.');
        }
        $event = SteepEvent::query()->create([
            'steep_id' => $row->id,
            'kind' => $kind->value,
            'on_date' => $request->string('on')->value(),
            'note' => $request->string('note')->value(),
            'data' => (object) $this->data($kind, $request, $given),
        ]);
        $row->load('events');
        // A plan that cannot be worked out any more is refused, and nothing of it is kept.
        if ($row->plan($this->catalogue->get())->oilLeftGrams() <= 0.0) {
            throw SteepError::notSoMuchOil();
        }
        if ($event->entry()->kind === EntryKind::Drawn && $request->boolean('keep', true)) {
            KeepOil::drawn($row, $row->plan($this->catalogue->get(), $event->on_date), $event);
        }
        $row->keepUses();
        $row->touch();

        return new JsonResponse($this->view($row->id), 201);
    }

    #[Speaks('Steep', does: 'Take back what was recorded')]
    public function destroy(int $event): JsonResponse
    {
        $row = SteepEvent::query()->findOrFail($event);
        $steep = Steep::held($row->steep_id);
        if ($steep->state !== 'running' && ! $row->entry()->kind->isForAfterwards()) {
            throw Refused::now('kind', 'What led to a strained oil is not changed any more.');
        }
        $row->delete();
        $steep->keepUses();

        return new JsonResponse($this->view($steep->id));
    }

    /**
     * What an entry of its kind holds, an amount in grams.
     *
     * @param  array<array-key, mixed>  $given
     * @return array<array-key, mixed>
     */
    private function data(EntryKind $kind, Request $request, array $given): array
    {
        if ($kind->adds()) {
            $given['grams'] = Quantity::grams(
                $request->string('amount')->value(),
                $this->catalogue->get()->get($request->string('ingredient')->value()),
                $request->string('form')->value(),
                $this->studio->get()->kitchen(),
            );
        }

        return array_diff_key($given, ['kind' => 1, 'on' => 1, 'note' => 1, 'keep' => 1]);
    }

    /** @return array<string, mixed> */
    private function view(int $id): array
    {
        return (new SteepResource(Steep::whole($id), $this->catalogue->get()))->toArray();
    }
}
