<?php

declare(strict_types=1);

namespace App\Pantry;

/** Several words in one value of a query. */
final class Commas
{
    /** @return list<string> */
    public static function split(string $words): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode(',', $words)), static fn (string $w): bool => $w !== ''),
        );
    }
}
