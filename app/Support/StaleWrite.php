<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** A write based on a state that someone has changed since. Answered with 409 and the newer state. */
final class StaleWrite extends RuntimeException
{
    /** @param  array<string, mixed>  $current */
    public function __construct(public readonly array $current)
    {
        parent::__construct(
            'Someone changed this since you opened it. Your text is kept; look at the newer state before you save.',
        );
    }
}
