<?php

declare(strict_types=1);

namespace Crown\Steep;

/** A stretch of time by one method. */
final readonly class Span
{
    public function __construct(public SteepMethod $method, public float $days, public float $celsius)
    {
    }
}
