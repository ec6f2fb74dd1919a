<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Crown\Catalogue\Catalogue;
use Crown\Pantry\LotLife;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** One bottle or jar as it stands on the shelf: $defs/ShelfLot. */
final class ShelfRowResource extends JsonResource
{
    private const CALLED_BACK = 'Must not be used: something in it went bad or was called back.';

    /**
     * @param  array<int, string>  $kinds of finished batches, by their ids
     * @param  bool  $calledBack whether it, or something in it, must not be used any more
     */
    public function __construct(
        private readonly Lot $lot,
        private readonly Catalogue $catalogue,
        private readonly array $kinds,
        private readonly bool $calledBack = false,
    ) {
        parent::__construct($lot);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $lot = $this->lot;
        $useBy = $lot->useBy();
        $came = $lot->grams ?? 0.0;
        $daysLeft = $useBy === null ? null : (int) Day::today()->diffInDays($lot->use_by, false);

        return [
            'id' => $lot->id,
            'source' => $lot->source,
            'ingredient' => $lot->ingredient,
            'name' => LotWords::name($lot, $this->catalogue),
            'matter' => LotWords::matter($lot, $this->catalogue, $this->kinds[$lot->batch_id ?? 0] ?? ''),
            'supplier' => $lot->supplier,
            'place' => $lot->place,
            'grams' => $lot->grams,
            'left_grams' => $lot->left_grams === null ? null : round($lot->left_grams, 3),
            'fill' => $lot->left_grams === null || $came <= 0.0 ? null : round(min(1.0, $lot->left_grams / $came), 4),
            'use_by' => $useBy,
            'days_left' => $daysLeft,
            // A finished product is used, and nothing is steeped in it.
            'steepable' => $lot->batch_id === null
                && ! $this->calledBack
                && $lot->withdrawn === ''
                && LotLife::outlivesSteep($daysLeft)
                && ! LotWords::isWet($lot, $this->catalogue),
            'soon' => LotLife::isSoon($daysLeft),
            'opened_on' => $lot->opened_on?->toDateString(),
            'withdrawn' => $lot->withdrawnWords() ?? ($this->calledBack ? self::CALLED_BACK : ''),
            'cost' => $lot->cost,
            'currency' => $lot->currency,
            'rate' => $lot->rate,
            'per_100g' => $lot->costPerGram() === null ? null : round($lot->costPerGram() * 100, 4),
            'tare_grams' => $lot->tare_grams,
            'steep_id' => $lot->steep_id,
            'batch_id' => $lot->batch_id,
            'emptied_on' => $lot->emptied_on?->toDateString(),
        ];
    }
}
