<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What happens to a jar while it stands: recorded, and everything worked out anew. */
final class SteepEventController
{
    public function __construct(private readonly StudioCatalogue $catalogue, private readonly SteepStock $stock)
    {
    }

    #[Speaks('Steep', 'SteepEventDraft', 201, 'Record what happened to a jar')]
    public function store(int $steep, EventRequest $request, RecordEvent $record): JsonResponse
    {
        $row = Steep::held($steep)->load(['events', 'lots']);
        $record($row, $request);

        return new JsonResponse($this->view($row->id), 201);
    }

    #[Speaks('Steep', does: 'Take back what was recorded')]
    public function destroy(int $event, Request $request): JsonResponse
    {
        $row = SteepEvent::query()->findOrFail($event);
        $steep = Steep::held($row->steep_id);
        if ($steep->state !== 'running' && ! $row->entry()->kind->isForAfterwards()) {
            throw Refused::now('kind', 'What led to a strained oil is not changed any more.');
        }
        $this->stock->takenBack($row, User::nameIn($request));
        $row->delete();
        KeepOil::refresh($steep, $this->catalogue->get());
        $steep->keepUses();

        return new JsonResponse($this->view($steep->id));
    }

    /** @return array<string, mixed> */
    private function view(int $id): array
    {
        $tools = $this->catalogue->kitchen()->tools;

        return (new SteepResource(Steep::whole($id), $this->catalogue->get(), $tools))->toArray();
    }
}
