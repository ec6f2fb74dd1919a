<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Formula\Phase;

/** One line to weigh: target and tolerance in grams. */
final readonly class Weighing
{
    public function __construct(
        public string $line,
        public string $ingredient,
        public string $name,
        public Phase $phase,
        public float $targetGrams,
        public float $toleranceGrams,
    ) {
    }

    public function isWithin(float $grams): bool
    {
        return abs($grams - $this->targetGrams) <= $this->toleranceGrams + 1e-9;
    }
}
