<?php

declare(strict_types=1);

namespace Crown\Measure;

/** How fine a strainer is, the coarsest first. Powder goes through all but paper and a closed bag. */
enum Weave: string
{
    case Coarse = 'coarse';
    case Fine = 'fine';
    case Cloth = 'cloth';
    case Bag = 'bag';
    case Paper = 'paper';

    /** Whether it holds what this one holds. */
    public function holds(self $other): bool
    {
        return $this->fineness() >= $other->fineness();
    }

    /** Its place among them: 0 for the coarsest. */
    public function fineness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
