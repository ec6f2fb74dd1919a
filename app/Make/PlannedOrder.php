<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Pantry\OrderPlan;

/** An order, and what it takes to keep it. */
final readonly class PlannedOrder
{
    public function __construct(public Order $order, public OrderPlan $plan)
    {
    }
}
