<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// What nothing needs any more goes by itself: studios that were left, old keys, the log's last year.
Schedule::command('crown:sweep')->dailyAt('03:40')->withoutOverlapping(60);
