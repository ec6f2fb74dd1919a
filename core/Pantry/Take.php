<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** What is taken from one lot, and how much more was in it than was thought. */
final readonly class Take
{
    /**
     * @param  float  $grams more than 0
     * @param  float  $found grams that were in it beyond what was thought; 0 where it was right
     */
    public function __construct(public int $lot, public float $grams, public float $found)
    {
    }
}
