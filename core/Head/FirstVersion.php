<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Formula\Formula;

/** A first version of a formula for a head, with the reason of each line. */
final readonly class FirstVersion
{
    /**
     * @param  array<string, string>  $reasons keyed by line id
     * @param  list<string>  $remarks what was left out, and what to do besides
     */
    public function __construct(public Formula $formula, public array $reasons, public array $remarks)
    {
    }
}
