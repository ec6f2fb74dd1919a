<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/** What the simplex found: the point, its cost, and the price of each row. */
final readonly class Solution
{
    /**
     * @param  list<float>  $x
     * @param  list<float>  $prices of the rows: how much the cost would change for one more unit of the end that binds;
     *     0 where none does
     */
    public function __construct(
        public bool $feasible,
        public array $x,
        public float $cost,
        public array $prices,
        public int $pivots,
    ) {
    }
}
