<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Support\Carbon;

/** Why something must not be used any more, and since when, in words. */
final class Withdrawal
{
    /** @param  string  $reason as the maker wrote it; "" while it may be used */
    public static function words(string $reason, ?Carbon $on): string
    {
        return $reason === '' || $on === null ? $reason : sprintf('%s (%s).', $reason, $on->format('j F Y'));
    }
}
