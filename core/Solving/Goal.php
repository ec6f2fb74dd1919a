<?php

declare(strict_types=1);

namespace Crown\Solving;

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
            self::Cheapest => 'Nothing cheaper meets them.',
            self::Service => 'Nothing that serves better meets them.',
            self::Nearest => 'Nothing nearer to the present formula meets them.',
            self::Lasting => 'Nothing that keeps longer meets them.',
            self::Lightest => 'Nothing lighter meets them.',
        };
    }
}
