<?php

declare(strict_types=1);

namespace Crown\Formula\Solving;

/** What is made best, in the order in which goals are given. */
enum Goal: string
{
    /** Least money for 100 g. */
    case Cheapest = 'cheapest';
    /** Most points of the needs asked for. */
    case Service = 'service';
    /** Least changed from what it is now: the sum of all changes of share. */
    case Nearest = 'nearest';
    /** Longest life of the blend. */
    case Lasting = 'lasting';
    /** Lightest on the hair. */
    case Lightest = 'lightest';
}
