<?php

declare(strict_types=1);

namespace App\Pantry;

/** A figure with its band as a request brings it: low, best and high, in this order. */
final class BandRules
{
    /** @return array<string, string> */
    public static function of(string $before = ''): array
    {
        return [
            $before.'low' => 'required|numeric|lte:'.$before.'best',
            $before.'best' => 'required|numeric',
            $before.'high' => 'required|numeric|gte:'.$before.'best',
        ];
    }
}
