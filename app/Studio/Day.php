<?php

declare(strict_types=1);

namespace App\Studio;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;

/**
 * The calendar date in the studio's time zone. A date is kept and counted as midnight UTC, whatever the zone: it is a
 * day, not a moment.
 */
final class Day
{
    /** A day that a maker may name: one that is written as a date, and that no reckoning leads out of the calendar. */
    public const WRITTEN = 'string|date_format:Y-m-d|after_or_equal:2000-01-01|before_or_equal:2100-12-31';

    public const RULE = 'bail|required|'.self::WRITTEN;

    /** The last that was worked out, and for which second and zone: a request asks several times. */
    private string $date = '';

    private string $of = '';

    public function __construct(private readonly ClockInterface $clock, private readonly CurrentStudio $studio)
    {
    }

    /** The studio's date now, for code that is not made by the container. */
    public static function today(): Carbon
    {
        return app(self::class)->now();
    }

    /** As it is written: 2026-11-26. */
    public function date(): string
    {
        $zone = $this->studio->get()->time_zone;
        $second = $this->clock->now()->getTimestamp();
        if ($this->of !== "$second $zone") {
            $moment = (new DateTimeImmutable("@$second"))->setTimezone(new DateTimeZone($zone));
            [$this->of, $this->date] = ["$second $zone", $moment->format('Y-m-d')];
        }

        return $this->date;
    }

    public function now(): Carbon
    {
        return new Carbon($this->date(), 'UTC');
    }
}
