<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Assessment\Portion;
use Crown\Catalogue\Evidence;

/** What one line earns for one need. */
final readonly class Earned
{
    public function __construct(public Portion $portion, public Evidence $evidence, public float $points)
    {
    }
}
