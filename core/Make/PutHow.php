<?php

declare(strict_types=1);

namespace Crown\Make;

/** How it is known what went in of a line. */
enum PutHow: string
{
    case Weighed = 'weighed';
    case Counted = 'counted';
    /** It is in, and the scale is too coarse to show it: the planned amount counts, as uncertain as the scale is. */
    case TooLittle = 'too-little';
    case LeftOut = 'left-out';
}
