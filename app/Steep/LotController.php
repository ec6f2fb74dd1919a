<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Pantry\WhereUsed;
use App\Studio\Day;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Catalogue\Catalogue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Steeped oils over HTTP: what stands strained, and what must not be used any more. */
final class LotController
{
    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('LotList', does: 'Steeped oils on the shelf')]
    public function index(Request $request): JsonResponse
    {
        $all = $this->catalogue->get();

        return Pages::answer(
            SteepedLot::query()->with('steep.events'),
            $request,
            fn (SteepedLot $l): array => self::view($l, $all),
        );
    }

    #[Speaks(
        'LotWithdrawn',
        'WithdrawAsk',
        does: 'Say that a steeped oil went bad or was thrown away, or take that back: what uses it is warned',
    )]
    public function withdraw(int $lot, Request $request): JsonResponse
    {
        $row = SteepedLot::query()->with('steep.events')->lockForUpdate()->findOrFail($lot);
        $request->validate(['reason' => 'present|nullable|string|max:200']);
        $reason = trim($request->string('reason')->value());
        $row->update([
            'withdrawn' => rtrim($reason, '. '),
            'withdrawn_on' => $reason === '' ? null : Day::today()->toDateString(),
        ]);

        return new JsonResponse([
            'lot' => self::view($row, $this->catalogue->get()),
            'warned' => WhereUsed::of([$row->ingredientId()]),
        ]);
    }

    /** @return array<string, mixed> */
    private static function view(SteepedLot $lot, Catalogue $catalogue): array
    {
        return $lot->view($lot->steep->plan($catalogue, $lot->made_on));
    }
}
