<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** Where a jar stands from a day on. */
final readonly class Stay
{
    public function __construct(public SteepMethod $method, public DateTimeImmutable $from)
    {
    }
}
