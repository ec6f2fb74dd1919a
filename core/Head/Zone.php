<?php

declare(strict_types=1);

namespace Crown\Head;

/** Where on the scalp, seen from above, the face at the top. */
enum Zone: string
{
    case Hairline = 'hairline';
    case TempleLeft = 'temple-left';
    case TempleRight = 'temple-right';
    case Top = 'top';
    case Crown = 'crown';
    case SideLeft = 'side-left';
    case SideRight = 'side-right';
    case Back = 'back';
    case Nape = 'nape';
}
