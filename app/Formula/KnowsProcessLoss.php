<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Make\ProcessLoss;

/** What a studio's own batches have lost on their way into the jars. */
interface KnowsProcessLoss
{
    public function processLoss(): ProcessLoss;
}
