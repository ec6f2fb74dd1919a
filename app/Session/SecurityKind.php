<?php

declare(strict_types=1);

namespace App\Session;

/** What is written down for the owner to see. */
enum SecurityKind: string
{
    case Opened = 'opened';
    case SignedIn = 'signed-in';
    case Failed = 'failed';
    case Password = 'password';
    case Recovered = 'recovered';
    case Codes = 'codes';
    case SessionEnded = 'session-ended';
    case Denied = 'denied';
    case Invited = 'invited';
    case Joined = 'joined';
    case RoleChanged = 'role-changed';
    case Removed = 'removed';
    case Linked = 'linked';
    case Unlinked = 'unlinked';
    case Exported = 'exported';
    case Leaving = 'leaving';
    case Staying = 'staying';
}
