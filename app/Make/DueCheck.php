<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Make\Check;

/** A batch, and the look at its jars that is due. */
final readonly class DueCheck
{
    public function __construct(public Batch $batch, public Check $check)
    {
    }
}
