<?php

declare(strict_types=1);

namespace Crown\Measure;

/** What the maker whips with. */
final readonly class Mixer
{
    /** @param  float  $minutes that she likes; 0 when she has not said */
    public function __construct(public string $name, public float $minutes = 0.0)
    {
    }
}
