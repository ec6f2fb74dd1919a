<?php

declare(strict_types=1);

namespace Crown\Head;

/** What the answers propose for one trait; a value of null is "cannot tell". */
final readonly class Suggestion
{
    public function __construct(public string $trait, public ?string $value, public string $why)
    {
    }
}
