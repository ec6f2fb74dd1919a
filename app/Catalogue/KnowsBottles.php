<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Bottle;

/** Out of which bottle each thing on a studio's shelf comes next. */
interface KnowsBottles
{
    /** @return array<string, Bottle> by ingredient id */
    public function bottles(): array;
}
