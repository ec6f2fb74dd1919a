<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** Oil taken out while the rest goes on. */
final readonly class Draw
{
    public function __construct(public float $grams, public DateTimeImmutable $on)
    {
        if ($grams <= 0.0) {
            throw SteepError::field('grams', 'more than 0 g');
        }
    }
}
