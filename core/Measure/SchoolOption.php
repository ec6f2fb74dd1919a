<?php

declare(strict_types=1);

namespace Crown\Measure;

/** One side where makers disagree: what it is called, and what it costs, as a sentence. */
final readonly class SchoolOption
{
    public function __construct(public string $label, public string $costs)
    {
    }
}
