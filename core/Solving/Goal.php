<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Words\Message;

/** What is made best, in the order in which goals are given. */
enum Goal: string
{
    /** Least money for 100 g. */
    case Cheapest = 'cheapest';
    /** Most points of the needs asked for. */
    case Service = 'service';
    /** Least changed from what it is now: the sum of all changes of share, what comes in anew counted a tenth more. */
    case Nearest = 'nearest';
    /** Longest life of the blend. */
    case Lasting = 'lasting';
    /** Lightest on the hair. */
    case Lightest = 'lightest';

    /** What an answer that is the best by it is, said of every other. */
    public function none(): string
    {
        return match ($this) {
            self::Cheapest => Message::said('solving.goal.nothing-cheaper-meets-them'),
            self::Service => Message::said('solving.goal.nothing-serves-better-meets'),
            self::Nearest => Message::said('solving.goal.nothing-nearer-present-formula'),
            self::Lasting => Message::said('solving.goal.nothing-keeps-longer-meets'),
            self::Lightest => Message::said('solving.goal.nothing-lighter-meets-them'),
        };
    }
}
