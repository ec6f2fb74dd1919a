<?php

declare(strict_types=1);

namespace App\Session;

/** What a private link shows. */
enum LinkKind: string
{
    case Routine = 'routine';
    case Jar = 'jar';

    /** Where it is looked at. */
    public function page(): string
    {
        return match ($this) {
            self::Routine => '/look/',
            self::Jar => '/jar/',
        };
    }
}
