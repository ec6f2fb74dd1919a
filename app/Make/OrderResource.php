<?php

declare(strict_types=1);

namespace App\Make;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** An order, and what it takes to keep it: $defs/Order. */
final class OrderResource extends JsonResource
{
    public function __construct(private readonly PlannedOrder $planned)
    {
        parent::__construct($planned->order);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $order = $this->planned->order;

        return [
            'id' => $order->id,
            'formula_id' => $order->formula_id,
            'title' => $order->title,
            'who' => $order->who,
            'jars' => $order->jars,
            'jar_ml' => $order->jar_ml,
            'due_on' => $order->due_on->toDateString(),
            'price' => $order->price,
            'note' => $order->note,
            'state' => $order->state,
            'by' => $order->by_name,
            'plan' => $this->planned->plan,
        ];
    }
}
