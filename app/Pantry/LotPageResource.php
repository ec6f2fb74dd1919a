<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Catalogue\Catalogue;
use Crown\Pantry\MovementKind;
use Crown\Pantry\Trace;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** One lot with its life, what moved, and what came of it: $defs/LotPage. */
final class LotPageResource extends JsonResource
{
    private const MOVEMENTS = 100;

    public function __construct(
        private readonly Lot $lot,
        private readonly Catalogue $catalogue,
        private readonly Trace $trace,
    ) {
        parent::__construct($lot);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $lot = $this->lot;

        return [
            ...(new ShelfRowResource($lot, $this->catalogue, LotWords::kinds([$lot])))->toArray(),
            'batch_number' => $lot->batch_number,
            'bought_on' => $lot->bought_on?->toDateString(),
            'printed_on' => $lot->printed_on?->toDateString(),
            'opened_months' => $lot->opened_months,
            'note' => $lot->note,
            'life' => LotWords::life($lot, $this->catalogue),
            'movements' => StockMovement::query()
                ->where('lot_id', $lot->id)
                ->orderByDesc('on_date')
                ->orderByDesc('id')
                ->limit(self::MOVEMENTS)
                ->get()
                ->map(static fn (StockMovement $m): array => [
                    'id' => $m->id,
                    'kind' => $m->kind,
                    'words' => MovementKind::from($m->kind)->words(),
                    'grams' => round($m->grams, 3),
                    'on' => $m->on_date->toDateString(),
                    'by' => $m->by_name,
                    'to' => $m->to_name,
                    'jars' => $m->jars,
                    'price' => $m->price,
                    'note' => $m->note,
                    'batch_id' => $m->batch_id,
                    'steep_id' => $m->steep_id,
                ])
                ->all(),
            'trace' => $this->trace,
        ];
    }
}
