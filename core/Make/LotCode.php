<?php

declare(strict_types=1);

namespace Crown\Make;

use DateTimeImmutable;

/** The code on a batch's jars: its day and a running number, 261124-1. */
final class LotCode
{
    /** What all codes of a day begin with. */
    public static function beginning(DateTimeImmutable $day): string
    {
        return $day->format('ymd').'-';
    }

    /**
     * The first number after those that are taken.
     *
     * @param  list<string>  $taken codes of that day
     */
    public static function next(DateTimeImmutable $day, array $taken): string
    {
        $beginning = self::beginning($day);
        $numbers = array_map(
            static fn (string $code): int => (int) substr($code, strlen($beginning)),
            array_filter($taken, static fn (string $code): bool => str_starts_with($code, $beginning)),
        );

        return $beginning.(max([0, ...$numbers]) + 1);
    }
}
