<?php

declare(strict_types=1);

namespace App\Steep;

use Crown\Catalogue\Catalogue;
use Crown\Steep\SteepPlan;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** A steeped oil on the shelf: $defs/Lot. */
final class LotResource extends JsonResource
{
    /** @param  SteepPlan|null  $plan of its jar on the day it was taken, where it is worked out already */
    public function __construct(
        private readonly SteepedLot $lot,
        private readonly Catalogue $catalogue,
        private readonly ?SteepPlan $plan = null,
    ) {
        parent::__construct($lot);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $lot = $this->lot;
        $plan = $this->plan ?? $lot->steep->plan($this->catalogue, $lot->made_on);
        $yield = $lot->yield($plan);

        return [
            'id' => $lot->id,
            'ingredient' => $lot->ingredientId(),
            'name' => $lot->title(),
            'grams' => $lot->grams,
            'dry' => $yield->isDry(),
            'water_percent' => round($yield->water()->high * 100, 3),
            'made_on' => $lot->made_on->toDateString(),
            // Of what it is known to be by now, not of what was thought on its day.
            'best_before' => $yield->bestBefore($lot->made_on->toDateTimeImmutable())->format('Y-m-d'),
            'store' => $yield->store()->words() ?? '',
            'steep_id' => $lot->steep_id,
            'code' => $lot->code(),
            'drawn' => $lot->event_id !== null,
            'withdrawn' => $lot->withdrawnWords() ?? '',
            'withdrawn_on' => $lot->withdrawn_on?->toDateString(),
        ];
    }
}
