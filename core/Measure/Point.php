<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A point of a curve; what lies across and what lies upwards is said by whoever draws it. */
final readonly class Point
{
    public function __construct(public float $across, public float $up)
    {
    }
}
