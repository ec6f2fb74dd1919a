<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Assessment\Experience;

/** What a studio's own batches have taught it. */
interface KnowsExperience
{
    public function experience(): Experience;
}
