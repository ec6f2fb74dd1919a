<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Make\LotCode;
use Illuminate\Support\Carbon;

/** The lot codes of a studio: one for each batch, of the day on which it was made. */
final class LotCodes
{
    /** The next that is free; who asks holds the studio until it is kept. */
    public static function next(Carbon $on): string
    {
        $day = $on->toDateTimeImmutable();

        return LotCode::next(
            $day,
            array_values(
                Batch::query()
                    ->withTrashed()
                    ->where('lot_code', 'like', LotCode::beginning($day).'%')
                    ->get(['lot_code'])
                    ->map(static fn (Batch $b): string => $b->lot_code)
                    ->all(),
            ),
        );
    }
}
