<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Bottle;

/** Out of which bottle each thing on a studio's shelf comes next. */
interface KnowsBottles
{
    /** @return array<string, Bottle> what was bought, by ingredient id */
    public function bottles(): array;

    /** @return array<string, Bottle> what was steeped here, by the id of its lot and of its jar */
    public function ofOils(): array;
}
