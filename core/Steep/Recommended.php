<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

/** The way that is recommended for a jar, and why. */
final readonly class Recommended
{
    public function __construct(public SteepMethod $method, public Message $why)
    {
    }
}
