<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Support\Carbon;

/** Why something must not be used any more, and since when, in words. */
final class Withdrawal
{
    /**
     * @param  string  $reason as its row has it, where "" stands for what may be used
     * @return string|null why it must not be used, in a sentence; null while it may
     */
    public static function words(string $reason, ?Carbon $on): ?string
    {
        return $reason === '' || $on === null ? $reason ?: null : sprintf('%s (%s).', $reason, $on->format('j F Y'));
    }
}
