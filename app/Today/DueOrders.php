<?php

declare(strict_types=1);

namespace App\Today;

use App\Make\Orders;
use Crown\Pantry\OrderPlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** Orders whose jars have to be made in the days to come, or handed over. */
final class DueOrders implements NeedsHands
{
    /** Days ahead in which an order is named. */
    private const AHEAD = 3;

    public function __construct(private readonly Orders $orders)
    {
    }

    public function on(Carbon $today): Work
    {
        if (Gate::denies('make')) {
            return new Work([]);
        }
        $items = [];
        $last = $today->copy()->addDays(self::AHEAD)->toDateString();
        $until = $today->copy()->addDays(self::AHEAD + OrderPlan::LEAD_DAYS)->toDateString();
        foreach ($this->orders->planned($until) as $of) {
            $on = $of->plan->toMake > 0 ? $of->plan->makeBy->format('Y-m-d') : $of->order->due_on->toDateString();
            if ($on <= $last) {
                $items[] = new TodayItem(
                    'order',
                    $of->order->id,
                    $on,
                    $on < $today->toDateString(),
                    sprintf('%d %s for %s. %s', $of->order->jars, $of->order->title, $of->order->who, $of->plan->words),
                    '/pantry/orders',
                );
            }
        }

        return new Work($items);
    }
}
