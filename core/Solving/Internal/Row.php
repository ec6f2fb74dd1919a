<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/** One linear demand: least <= sum of coefficient x variable <= most. Either end may be infinite. */
final readonly class Row
{
    /** A row is never counted as smaller than this, so that what gives way is not free. */
    private const SMALLEST = 1e-3;

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

    /**
     * Whether a point lies on one of its ends.
     *
     * @param  list<float>  $x
     */
    public function isTight(array $x): bool
    {
        $value = $this->value($x);
        $near = 1e-5 * (1 + abs($value));

        return abs($value - $this->least) < $near || abs($value - $this->most) < $near;
    }

    /** The largest of its ends and its mean coefficient: what a change of it is measured against. */
    public function size(): float
    {
        return max(
            self::SMALLEST,
            is_finite($this->least) ? abs($this->least) : 0.0,
            is_finite($this->most) ? abs($this->most) : 0.0,
            array_sum(array_map(abs(...), $this->coefficients)) / max(1, count($this->coefficients)),
        );
    }

    /** @return list<float> the sign of a variable that lets an end give way, for each end it has */
    public function waysToGive(): array
    {
        return [...is_finite($this->least) ? [1.0] : [], ...is_finite($this->most) ? [-1.0] : []];
    }
}
