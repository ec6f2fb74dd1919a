<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A strainer, cloth, bag or filter of the maker's. */
final readonly class Strainer
{
    public function __construct(public string $name, public Weave $weave)
    {
    }
}
