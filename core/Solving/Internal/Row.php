<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/** One linear demand: least <= sum of coefficient x variable <= most. Either end may be infinite. */
final readonly class Row
{
    /** @param  array<int, float>  $coefficients keyed by variable */
    public function __construct(public array $coefficients, public float $least = -INF, public float $most = INF)
    {
    }

    /** @param  list<float>  $x */
    public function value(array $x): float
    {
        $sum = 0.0;
        foreach ($this->coefficients as $j => $c) {
            $sum += $c * ($x[$j] ?? 0.0);
        }

        return $sum;
    }
}
