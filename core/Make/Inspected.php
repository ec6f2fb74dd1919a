<?php

declare(strict_types=1);

namespace Crown\Make;

/** What is looked at on every container before it is put away. */
enum Inspected: string
{
    case Whole = 'whole';
    case Clean = 'clean';
    case Sealed = 'sealed';
    case Labelled = 'labelled';

    public function words(): string
    {
        return match ($this) {
            self::Whole => 'No chip and no crack',
            self::Clean => 'Rim and outside wiped, nothing left on them',
            self::Sealed => 'Closed, and the lid holds',
            self::Labelled => 'Labelled with lot and date',
        };
    }
}
