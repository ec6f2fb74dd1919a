<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** An ingredient of a mixture, and how much of it: grams, per cent or a fraction, as the whole mixture has it. */
final readonly class MixturePart
{
    public function __construct(public Ingredient $ingredient, public float $amount)
    {
    }
}
