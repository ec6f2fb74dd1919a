<?php

declare(strict_types=1);

namespace Crown\Steep;

/** The way that is recommended for a jar, and why, as a sentence. */
final readonly class Recommended
{
    public function __construct(public SteepMethod $method, public string $why)
    {
    }
}
