<?php

declare(strict_types=1);

namespace Crown\Head;

use DateTimeImmutable;

/** The half of the year in which a dislike holds. */
enum Season: string
{
    case Any = 'any';
    case Cold = 'cold';
    case Warm = 'warm';

    /** October to March is the cold half in the north, the warm half in the south. */
    public static function on(DateTimeImmutable $day, bool $southern = false): self
    {
        $month = (int) $day->format('n');
        $northernCold = $month >= 10 || $month <= 3;

        return $northernCold !== $southern ? self::Cold : self::Warm;
    }
}
