<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Solving\Internal\BranchAndBound;
use Crown\Solving\Internal\Row;

/** How many of each of a few things together come to so much, for the least: whole numbers, by branch and bound. */
final class WholeNumbers
{
    /** What is dearer by less is as dear. */
    private const SAME = 1e-6;

    /**
     * @param  non-empty-list<float>  $worth of one of each, more than 0
     * @param  list<float>  $cost of one of each, at least 0
     * @param  float  $enough what all together have to be worth at least
     * @return list<int> how many of each; of equal cost, those that are worth the least together
     */
    public static function covering(array $worth, array $cost, float $enough): array
    {
        if ($enough <= 0.0) {
            return array_map(static fn (): int => 0, $worth);
        }
        $most = array_map(static fn (float $each): float => ceil($enough / $each), $worth);
        $none = array_map(static fn (): float => 0.0, $worth);
        $search = new BranchAndBound(array_map(static fn (): float => 1.0, $worth), null);
        $rows = [new Row($worth, $enough - self::SAME)];
        $cheapest = $search->least($cost, $none, $most, $rows);
        $rows[] = new Row($cost, -INF, $cheapest->cost + self::SAME);
        $least = $search->least($worth, $none, $most, $rows);

        return array_map(static fn (float $x): int => (int) round($x), $least->feasible ? $least->x : $cheapest->x);
    }
}
