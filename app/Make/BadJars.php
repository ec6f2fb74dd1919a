<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use Crown\Make\Sign;

/** A bad smell or mould in one jar is the end of all jars of its batch; taken back, they may be used again. */
final class BadJars
{
    public static function say(BatchFinding $finding): void
    {
        $why = self::reason($finding);
        if ($why !== '') {
            Lot::query()
                ->where('batch_id', $finding->batch_id)
                ->where('withdrawn', '')
                ->update(['withdrawn' => $why, 'withdrawn_on' => $finding->on_date->toDateString()]);
        }
    }

    public static function takeBack(BatchFinding $finding): void
    {
        $why = self::reason($finding);
        if ($why !== '') {
            Lot::query()
                ->where('batch_id', $finding->batch_id)
                ->where('withdrawn', $why)
                ->where('withdrawn_on', $finding->on_date->toDateString())
                ->update(['withdrawn' => '', 'withdrawn_on' => null]);
        }
    }

    /** "" where nothing of it is bad. */
    private static function reason(BatchFinding $finding): string
    {
        $bad = array_filter($finding->signs(), static fn (Sign $s): bool => $s->isBad());

        return ucfirst(implode(', and ', array_map(static fn (Sign $s): string => $s->words(), $bad)));
    }
}
