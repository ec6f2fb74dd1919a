<?php

declare(strict_types=1);

namespace App\Session;

/** What is written down for the owner to see. */
enum SecurityKind: string
{
    case Opened = 'opened';
    case SignedIn = 'signed-in';
    case SignedOut = 'signed-out';
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

    /** Whether whoever tries doors makes many of them at once; failures to come in are few, since they are counted. */
    public function comesInHundreds(): bool
    {
        return $this === self::Denied;
    }

    /** Whether it tells of something that was not let through. */
    public function isRefusal(): bool
    {
        return $this === self::Denied || $this === self::Failed;
    }
}
