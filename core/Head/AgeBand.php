<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Formula\Audience;

/** How old a head is, as far as it changes what may go on it. */
enum AgeBand: string
{
    case NotKnown = 'not-known';
    case Under2 = 'under-2';
    case From2To6 = '2-6';
    case From6To12 = '6-12';
    case From12To18 = '12-18';
    case Adult = 'adult';
    /** As it was asked before: grown or not is not known, so it counts as not. */
    case Over12 = 'over-12';

    /** The audience this age imposes; adults, and an age that is not known, keep the formula's own. */
    public function audience(Audience $otherwise): Audience
    {
        return match ($this) {
            self::Under2 => Audience::Infant,
            self::From2To6 => Audience::Child2To6,
            self::From6To12 => Audience::Child6To12,
            self::From12To18, self::Over12, self::Adult, self::NotKnown => $otherwise,
        };
    }

    /** What a minimum age is held against, years. */
    public function youngestYears(): float
    {
        return match ($this) {
            self::Under2 => 0.0,
            self::From2To6 => 2.0,
            self::From6To12 => 6.0,
            self::From12To18, self::Over12 => 12.0,
            self::Adult, self::NotKnown => 18.0,
        };
    }
}
