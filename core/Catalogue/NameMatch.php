<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** An ingredient that a name may mean, and how sure that is: 1 is the very name. */
final readonly class NameMatch
{
    public function __construct(public Ingredient $ingredient, public float $score, public string $matched)
    {
    }
}
