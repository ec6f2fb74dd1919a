<?php

declare(strict_types=1);

namespace App\Today;

use App\Studio\Day;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** What needs hands now, and the shelf of what is under way. */
final class TodayController
{
    public function __construct(
        private readonly Steeps $steeps,
        private readonly OpenBatches $batches,
        private readonly Routines $routines,
        private readonly UseFirst $bottles,
        private readonly DueOrders $orders,
        private readonly JarsToLookAt $jars,
    ) {
    }

    #[Speaks('Today', does: 'What needs hands now')]
    public function __invoke(): JsonResponse
    {
        $today = Day::today();
        $work = array_map(
            static fn (NeedsHands $of): Work => $of->on($today),
            [$this->steeps, $this->batches, $this->routines, $this->bottles, $this->orders, $this->jars],
        );
        $items = array_merge(...array_map(static fn (Work $w): array => $w->items, $work));
        usort($items, TodayItem::order(...));

        return new JsonResponse([
            'date' => $today->toDateString(),
            'items' => $items,
            'shelf' => array_merge(...array_map(static fn (Work $w): array => $w->shelf, $work)),
        ]);
    }
}
