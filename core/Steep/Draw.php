<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;
use DateTimeImmutable;

/** Oil taken out while the rest goes on. */
final readonly class Draw
{
    public function __construct(public float $grams, public DateTimeImmutable $on)
    {
        if ($grams <= 0.0) {
            throw SteepError::field('grams', new Message('steep.allowed.some-grams'));
        }
    }
}
