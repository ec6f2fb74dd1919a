<?php

declare(strict_types=1);

namespace Crown\Head\Internal;

use Crown\Catalogue\Ingredient;

/** A line of a first formula: what, how much of it in per cent of the whole, and why. */
final readonly class Drafted
{
    public function __construct(public Ingredient $ingredient, public float $percent, public string $why)
    {
    }

    public function times(float $factor): self
    {
        return new self($this->ingredient, $this->percent * $factor, $this->why);
    }

    public function plus(float $percent): self
    {
        return new self($this->ingredient, $this->percent + $percent, $this->why);
    }
}
