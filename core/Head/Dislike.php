<?php

declare(strict_types=1);

namespace Crown\Head;

/** Something this head does not bear well, all year or in one half of it. */
final readonly class Dislike
{
    public function __construct(public string $what, public Season $season = Season::Any)
    {
    }

    public function holdsIn(Season $now): bool
    {
        return $this->season === Season::Any || $now === Season::Any || $this->season === $now;
    }
}
