<?php

declare(strict_types=1);

namespace Crown\Rhythm;

/** What became of a day of a routine. */
enum DayState: string
{
    case Planned = 'planned';
    case Done = 'done';
    case Skipped = 'skipped';
    /** The skin reacted: said of the reading of a patch test alone. */
    case Reacted = 'reacted';
}
