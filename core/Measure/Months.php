<?php

declare(strict_types=1);

namespace Crown\Measure;

/** Months of a life that is an estimate: all of one length, the year's 365.25 days over twelve. */
final class Months
{
    public const DAYS = 30.44;

    /** Whole days within so many months. */
    public static function inDays(float $months): int
    {
        return (int) floor($months * self::DAYS);
    }

    public static function ofDays(float $days): float
    {
        return $days / self::DAYS;
    }
}
