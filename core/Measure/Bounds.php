<?php

declare(strict_types=1);

namespace Crown\Measure;

/** The least and the most that is allowed, or that makes sense, both of them included. */
final readonly class Bounds
{
    public function __construct(public float $least, public float $most)
    {
    }

    public function hold(float $value): bool
    {
        return $value >= $this->least && $value <= $this->most;
    }
}
