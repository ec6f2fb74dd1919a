<?php

declare(strict_types=1);

namespace Crown\Solving;

/** A wish, with what it is of: an ingredient, an allergen, an audience; null for the wishes that are of the whole. */
final readonly class Wished
{
    public function __construct(public Wish $wish, public ?string $of = null)
    {
    }
}
