<?php

declare(strict_types=1);

namespace Crown\Make;

/** What the maker wrote of a task, and why it is not done so where it would not be safe. */
final readonly class Hers
{
    /**
     * @param  string  $words as she wrote them
     * @param  string|null  $doubt null where it is done as she wrote it
     */
    public function __construct(public string $words, public ?string $doubt = null)
    {
    }
}
