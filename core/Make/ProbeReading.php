<?php

declare(strict_types=1);

namespace Crown\Make;

/** What a probe showed, and when. */
final readonly class ProbeReading
{
    /**
     * @param  float  $minutes since any moment that all readings of one cooling share
     * @param  float  $celsius °C
     */
    public function __construct(public float $minutes, public float $celsius)
    {
    }
}
