<?php

declare(strict_types=1);

namespace App\Studio;

/** A person's part in a studio. */
enum Role: string
{
    /** Everything, and who else is in it. */
    case Owner = 'owner';
    /** Everything that is made. */
    case Maker = 'maker';
    /** Today, the counter, shakes and ticks: no recipe is changed, no price is seen. */
    case Helper = 'helper';

    /** What routes ask for: help, make or own. */
    public const RIGHTS = ['help', 'make', 'own'];

    public function may(string $right): bool
    {
        return match ($right) {
            'help' => true,
            'make' => $this !== self::Helper,
            'own' => $this === self::Owner,
            default => false,
        };
    }
}
