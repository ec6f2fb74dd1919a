<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Steep\SteepStore;
use App\Support\Pages;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LotController
{
    #[Speaks('LotList', does: 'Steeped oils on the shelf')]
    public function index(Request $request, StudioCatalogue $catalogue): JsonResponse
    {
        $all = $catalogue->get();

        return Pages::answer(Lot::query()->with('steep'), $request, static fn (Lot $l): array => $l->view(SteepStore::plan($l->steep, $all)));
    }
}
