<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Head\Head;
use App\Head\HeadResource;
use App\Studio\Day;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** Everything kept of one head: what it is, and what is used on it. */
final class HeadExportController
{
    #[Speaks('HeadExport', does: 'Everything kept of one head, to take away')]
    public function __invoke(int $head): JsonResponse
    {
        $row = Head::query()->with('marks')->findOrFail($head);
        $routines = Routine::query()
            ->withTrashed()
            ->with([Routine::BATCH_IN_SHORT, 'days'])
            ->where('head_id', $row->id)
            ->orderBy('id')
            ->get();

        return new JsonResponse(
            [
                'format' => 'honest-crown/head',
                'exported_on' => Day::today()->toDateString(),
                'head' => HeadResource::of($row),
                'routines' => $routines
                    ->map(
                        static fn (Routine $r): array => [
                            'product' => $r->batch->title,
                            'starts_on' => $r->starts_on->toDateString(),
                            'per_week' => $r->per_week,
                            'way' => $r->way,
                            'days' => $r->days
                                ->map(
                                    static fn ($d): array => [
                                        'date' => $d->date->toDateString(),
                                        'act' => $d->act,
                                        'state' => $d->state,
                                    ],
                                )
                                ->all(),
                        ],
                    )
                    ->all(),
            ],
            200,
            ['Content-Disposition' => 'attachment; filename="head.json"'],
        );
    }
}
