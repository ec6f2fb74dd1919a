<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** What ends the life of a lot. */
enum LimitedBy: string
{
    case Printed = 'printed';
    case Opened = 'opened';
    case Kept = 'kept';
    case Unknown = 'unknown';
}
