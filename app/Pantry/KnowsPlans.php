<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Assessment\Composition;
use Crown\Assessment\Context;

/** What a studio is about to make. */
interface KnowsPlans
{
    /** @return list<Composition> what is being made now, and what was ordered and does not stand there */
    public function wanted(Context $context): array;
}
