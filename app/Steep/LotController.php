<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Pantry\WhereUsed;
use App\Pantry\WithdrawRequest;
use App\Studio\Day;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** Steeped oils over HTTP: what stands strained, and what must not be used any more. */
final class LotController
{
    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('LotList', does: 'Steeped oils on the shelf')]
    public function index(ListRequest $request): JsonResponse
    {
        $all = $this->catalogue->get();

        return Pages::answer(
            SteepedLot::query()->with(['steep.events', 'steep.poured']),
            $request,
            static fn (SteepedLot $l): array => (new LotResource($l, $all))->toArray(),
        );
    }

    #[Speaks(
        'LotWithdrawn',
        'WithdrawAsk',
        does: 'Say that a steeped oil went bad or was thrown away, or take that back: what uses it is warned',
    )]
    public function withdraw(int $lot, WithdrawRequest $request): JsonResponse
    {
        $row = SteepedLot::query()->with(['steep.events', 'steep.poured'])->lockForUpdate()->findOrFail($lot);
        $row->update([
            'withdrawn' => $request->reason(),
            'withdrawn_on' => $request->reason() === '' ? null : Day::today()->toDateString(),
        ]);

        return new JsonResponse([
            'lot' => (new LotResource($row, $this->catalogue->get()))->toArray(),
            'warned' => WhereUsed::of($row->ingredientIds()),
        ]);
    }
}
