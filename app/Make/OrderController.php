<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** Orders over HTTP: who wants what by when, and what stands there for it. */
final class OrderController
{
    public function __construct(private readonly Orders $orders)
    {
    }

    #[Speaks('OrderList', does: 'Open orders, the first to be due first, and the jars on the shelf')]
    public function index(): JsonResponse
    {
        return new JsonResponse(['items' => $this->orders->open(), 'jars' => $this->orders->jars()]);
    }

    #[Speaks('OrderList', 'OrderDraft', 201, 'Write down an order')]
    public function store(OrderRequest $request): JsonResponse
    {
        $formula = Formula::query()->find($request->integer('formula_id'))
            ?? throw Refused::because('formula_id', 'Choose what is wanted.');
        Order::query()->create([
            'formula_id' => $formula->id,
            'title' => $formula->title,
            'by_name' => User::nameIn($request),
            ...$request->columns(),
        ]);

        return $this->index()->setStatusCode(201);
    }

    #[Speaks('OrderList', 'OrderState', does: 'Say what became of an order: given, off, or open again')]
    public function update(int $order, OrderStateRequest $request): JsonResponse
    {
        $row = Order::query()->lockForUpdate()->findOrFail($order);
        $state = $request->string('state')->value();
        if ($state === 'given' && $row->state === 'open') {
            $this->orders->demandJars($row);
            $this->orders->give($row, User::nameIn($request));
        } elseif ($row->state !== 'given') {
            $row->update(['state' => $state]);
        } else {
            throw Refused::now('state', 'It was given. What came back is written down on the jar itself.');
        }

        return $this->index();
    }
}
