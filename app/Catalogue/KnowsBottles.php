<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Bottle;

/** What stands on a studio's shelf: what was paid for it, and out of which bottle each thing comes next. */
interface KnowsBottles
{
    /** What was bought and may be used. */
    public function bought(): Bought;

    /** @return array<string, Bottle> what was steeped here, by the id of its lot and of its jar */
    public function ofOils(): array;
}
