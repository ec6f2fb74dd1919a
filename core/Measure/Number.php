<?php

declare(strict_types=1);

namespace Crown\Measure;

/** Numbers as a person writes them: no more figures than they have, and no empty ones. */
final class Number
{
    /** @param  int  $decimals at most; zeros at the end are left out: 2.50 is "2.5", 3.00 is "3" */
    public static function shown(float $number, int $decimals = 2): string
    {
        $written = number_format($number, $decimals, '.', '');

        return str_contains($written, '.') ? rtrim(rtrim($written, '0'), '.') : $written;
    }

    /** "1 day", "2 days", "1.5 months": a number with what it counts in the fitting form. */
    public static function counted(float $number, string $one, int $decimals = 0): string
    {
        $shown = self::shown($number, $decimals);

        return "$shown $one".($shown === '1' ? '' : 's');
    }
}
