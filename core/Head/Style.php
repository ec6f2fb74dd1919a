<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Need;

/** How the hair is worn most of the time. */
enum Style: string
{
    case NotKnown = 'not-known';
    case Loose = 'loose';
    case Tied = 'tied';
    case Braids = 'braids';
    case Locs = 'locs';
    case Covered = 'covered';
    case Short = 'short';

    /** @return list<Need> what this way of wearing it asks for by itself */
    public function needs(): array
    {
        return $this === self::Braids || $this === self::Locs ? [Need::ProtectiveStyles] : [];
    }
}
