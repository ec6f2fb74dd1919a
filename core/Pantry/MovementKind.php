<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** Why grams came to a lot, or left it. */
enum MovementKind: string
{
    /** It was strained, drawn or finished here. */
    case Made = 'made';
    /** What stands there was weighed or estimated: the difference to what was thought. */
    case Counted = 'counted';
    /** Nobody knows any more how much there is. */
    case Unknown = 'unknown';
    /** It is not there any more. */
    case Gone = 'gone';
}
