<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use DateTimeImmutable;

/** One thing to do on one calendar day. */
final readonly class RoutineDay
{
    public function __construct(public DateTimeImmutable $date, public Act $act)
    {
    }
}
