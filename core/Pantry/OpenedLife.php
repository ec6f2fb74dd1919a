<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Measure\Months;

/** How long a jar keeps once opened, read from what stands on its label. */
final class OpenedLife
{
    /**
     * @param  string  $written "6 M" or "7 days", as Assessment\Keeping writes it
     * @return int|null whole days; null for what is neither
     */
    public static function days(string $written): ?int
    {
        return match (true) {
            preg_match('/^(\d+) days$/', $written, $m) === 1 => (int) $m[1],
            preg_match('/^(\d+) M$/', $written, $m) === 1 => Months::inDays((float) $m[1]),
            default => null,
        };
    }
}
