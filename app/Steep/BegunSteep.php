<?php

declare(strict_types=1);

namespace App\Steep;

use App\Formula\Formula;

/** A steep that was begun from a recipe, and the rest of the recipe, in which its oil stands. */
final readonly class BegunSteep
{
    public function __construct(public Steep $steep, public Formula $formula)
    {
    }
}
