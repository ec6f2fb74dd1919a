<?php

declare(strict_types=1);

namespace App\Today;

use Illuminate\Support\Carbon;

/** One kind of work, as far as it is due. */
interface NeedsHands
{
    public function on(Carbon $today): Work;
}
