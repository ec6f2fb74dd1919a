<?php

declare(strict_types=1);

namespace Crown\Measure;

/** One of the maker's scales. */
final readonly class Scale
{
    /** @param  string  $source whose it is, for the working: "the small scale" */
    public function __construct(public float $stepGrams, public float $mostGrams, public string $source)
    {
    }
}
