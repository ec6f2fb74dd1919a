<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\MoveStock;
use App\Pantry\StockMovement;
use App\Studio\Day;
use Crown\Json\Node;
use Crown\Pantry\MovementKind;

/** What a steep takes from the shelf. A jar put away on the day it was begun was never begun: it gives all back. */
final class SteepStock
{
    public function __construct(private readonly MoveStock $move)
    {
    }

    public function taken(Steep $steep, string $by): void
    {
        $document = Node::of($steep->document);
        foreach ([...$document->objects('herbs'), ...$document->objects('oils')] as $part) {
            $grams = $part->number('grams') ?? 0.0;
            if ($grams > 0.0) {
                $of = ['by_name' => $by, 'steep_id' => $steep->id];
                $this->move->take($part->text('ingredient'), $grams, MovementKind::Steep, $steep->started_on, $of);
            }
        }
    }

    /** What was added to a running jar. */
    public function added(SteepEvent $event, string $by): void
    {
        $data = Node::of($event->data);
        $grams = $data->number('grams') ?? 0.0;
        if ($event->entry()->kind->adds() && $grams > 0.0) {
            $of = ['by_name' => $by, 'steep_id' => $event->steep_id, 'event_id' => $event->id];
            $this->move->take($data->text('ingredient'), $grams, MovementKind::Steep, $event->on_date, $of);
        }
    }

    /** The entry is taken back, and what it added stands on the shelf again. */
    public function takenBack(SteepEvent $event, string $by): void
    {
        if ($event->entry()->kind->adds()) {
            $this->move->giveBack($event->steep_id, $by, $event->id);
        }
    }

    public function givenBack(Steep $steep, string $by): void
    {
        if ($this->isNotBegun($steep)) {
            $this->move->giveBack($steep->id, $by);
        }
    }

    public function takenAgain(Steep $steep, string $by): void
    {
        $moved = StockMovement::query()->where('steep_id', $steep->id)->where('kind', MovementKind::Steep->value);
        if ($moved->exists() && abs((float) $moved->sum('grams')) < 1e-6) {
            $this->taken($steep, $by);
        }
    }

    private function isNotBegun(Steep $steep): bool
    {
        return $steep->state === 'running' && ! $steep->started_on->lessThan(Day::today());
    }
}
