<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/**
 * Finds the x that makes sum(cost x x) least, with every row between its ends and every variable between its bounds. A
 * dense primal simplex in two phases that keeps bounds out of the rows: a variable may rest at either of its bounds.
 * Smallest index first (Bland) once steps stop gaining, so that it always ends; no chance in it. Method page:
 * docs/methods/solver.md.
 */
final class Simplex
{
    private const EPS = 1e-9;

    private const FEASIBLE = 1e-7;

    /** @var array<int, array<int, float>> rows of the tableau, the last column being the right-hand side */
    private array $t = [];

    /** @var array<int, int> the basic variable of each row */
    private array $basis = [];

    /** @var array<int, float> width between the bounds, per column */
    private array $width = [];

    /** @var array<int, bool> columns that are counted down from their upper bound */
    private array $flipped = [];

    private int $pivots = 0;

    private int $columns = 0;

    /**
     * @param  list<float>  $cost
     * @param  list<float>  $lower finite
     * @param  list<float>  $upper may be infinite
     * @param  list<Row>  $rows
     */
    public static function least(array $cost, array $lower, array $upper, array $rows): Solution
    {
        foreach ($lower as $j => $l) {
            if ($l > $upper[$j] + self::EPS) {
                return new Solution(false, $lower, 0.0, [], 0);
            }
        }

        return (new self())->solve($cost, $lower, $upper, $rows);
    }

    /**
     * @param  list<float>  $cost
     * @param  list<float>  $lower
     * @param  list<float>  $upper
     * @param  list<Row>  $rows
     */
    private function solve(array $cost, array $lower, array $upper, array $rows): Solution
    {
        $n = count($cost);
        $m = count($rows);
        // Columns: the variables, one slack for each row (row - slack = 0, slack between the row's ends), one
        // artificial each.
        $this->columns = $n + 2 * $m;
        $slackLow = [];
        for ($j = 0; $j < $n; $j++) {
            $this->width[$j] = $upper[$j] - $lower[$j];
        }
        foreach ($rows as $i => $row) {
            $slackLow[$i] = is_finite($row->least) ? $row->least : (is_finite($row->most) ? $row->most : 0.0);
            $turned = ! is_finite($row->least) && is_finite($row->most);
            $free = ! is_finite($row->least) && ! is_finite($row->most);
            $this->width[$n + $i] = $free ? INF : ($turned ? INF : $row->most - $row->least);
            // row - slack = 0, or row + slack = most when only the upper end is finite; nothing when both are infinite.
            $line = array_fill(0, $this->columns + 1, 0.0);
            $shift = 0.0;
            foreach ($row->coefficients as $j => $c) {
                $line[$j] = $c;
                $shift += $c * $lower[$j];
            }
            $line[$n + $i] = $free ? 0.0 : ($turned ? 1.0 : -1.0);
            $line[$this->columns] = ($free ? 0.0 : $slackLow[$i]) - $shift;
            if ($free) {
                $line = array_fill(0, $this->columns + 1, 0.0);
            }
            $sign = $line[$this->columns] < 0.0 ? -1.0 : 1.0;
            foreach ($line as $j => $v) {
                $line[$j] = $sign * $v;
            }
            $line[$n + $m + $i] = 1.0;
            $this->width[$n + $m + $i] = INF;
            $this->t[$i] = $line;
            $this->basis[$i] = $n + $m + $i;
        }
        for ($j = 0; $j < $this->columns; $j++) {
            $this->flipped[$j] = false;
        }

        // Phase one: the artificial ones are driven to nothing.
        $first = array_fill(0, $this->columns + 1, 0.0);
        foreach ($this->t as $line) {
            for ($j = 0; $j <= $this->columns; $j++) {
                $first[$j] -= $j < $n + $m || $j === $this->columns ? $line[$j] : 0.0;
            }
        }
        $this->run($first, $n + $m);
        if ($first[$this->columns] < -self::FEASIBLE * (1 + $m)) {
            return new Solution(false, $this->point($n, $lower), 0.0, [], $this->pivots);
        }
        $this->expelArtificials($n + $m);

        // Phase two: the cost itself, written in what is not basic.
        $second = array_fill(0, $this->columns + 1, 0.0);
        for ($j = 0; $j < $n; $j++) {
            $second[$j] = $this->flipped[$j] ? -$cost[$j] : $cost[$j];
        }
        foreach ($this->basis as $i => $b) {
            $price = $b < $n ? ($this->flipped[$b] ? -$cost[$b] : $cost[$b]) : 0.0;
            if ($price !== 0.0) {
                for ($j = 0; $j <= $this->columns; $j++) {
                    $second[$j] -= $price * $this->t[$i][$j];
                }
            }
        }
        $this->run($second, $n + $m);
        $x = $this->point($n, $lower);
        $total = 0.0;
        foreach ($x as $j => $v) {
            $total += $cost[$j] * $v;
        }
        $prices = [];
        foreach ($rows as $i => $row) {
            // What one more unit of the slack would cost; turned slacks count the other way.
            $turned = ! is_finite($row->least) && is_finite($row->most);
            $reduced = $this->flipped[$n + $i] ? -$second[$n + $i] : $second[$n + $i];
            $prices[] = abs($reduced) < self::EPS || in_array($n + $i, $this->basis, true)
                    ? 0.0
                    : ($turned
                        ? -$reduced
                        : $reduced);
        }

        return new Solution(true, $x, $total, $prices, $this->pivots);
    }

    /**
     * @param  array<int, float>  $objective reduced costs; changed in place
     * @param  int  $allowed columns below this may come in
     */
    private function run(array &$objective, int $allowed): void
    {
        $stalled = 0;
        for ($turn = 0; $turn < 20_000; $turn++) {
            $enter = $this->entering($objective, $allowed, $stalled > 20);
            if ($enter < 0) {
                return;
            }
            $before = $objective[$this->columns];
            $this->step($enter, $objective);
            $stalled = abs($objective[$this->columns] - $before) < 1e-12 ? $stalled + 1 : 0;
        }
    }

    /** @param  array<int, float>  $objective */
    private function entering(array $objective, int $allowed, bool $smallest): int
    {
        $best = -1;
        $least = -self::EPS;
        for ($j = 0; $j < $allowed; $j++) {
            if ($objective[$j] < $least && $this->width[$j] > self::EPS) {
                if ($smallest) {
                    return $j;
                }
                $least = $objective[$j];
                $best = $j;
            }
        }

        return $best;
    }

    /** @param  array<int, float>  $objective */
    private function step(int $enter, array &$objective): void
    {
        $end = $this->columns;
        $most = $this->width[$enter];
        $leave = -1;
        $toUpper = false;
        foreach ($this->t as $i => $line) {
            $a = $line[$enter];
            if ($a > self::EPS) {
                $limit = max(0.0, $line[$end]) / $a;
                if (
                    $limit < $most - 1e-12
                    || ($limit < $most + 1e-12 && $leave >= 0 && $this->basis[$i] < $this->basis[$leave])
                ) {
                    [$most, $leave, $toUpper] = [$limit, $i, false];
                }
            } elseif ($a < -self::EPS && is_finite($this->width[$this->basis[$i]])) {
                $limit = max(0.0, $this->width[$this->basis[$i]] - $line[$end]) / -$a;
                if (
                    $limit < $most - 1e-12
                    || ($limit < $most + 1e-12 && $leave >= 0 && $this->basis[$i] < $this->basis[$leave])
                ) {
                    [$most, $leave, $toUpper] = [$limit, $i, true];
                }
            }
        }
        $this->pivots++;
        if ($leave < 0) {
            if (is_finite($most)) {
                $this->flip($enter, $objective);
            } else {
                // Unbounded cannot be with bounded shares; the column is closed rather than followed.
                $this->width[$enter] = 0.0;
            }

            return;
        }
        if ($toUpper) {
            $this->flip($this->basis[$leave], $objective);
            // A basic column is a unit column: turned round, its row changes its sign and counts from the other bound.
            $b = $this->basis[$leave];
            foreach ($this->t[$leave] as $j => $v) {
                $this->t[$leave][$j] = -$v;
            }
            $this->t[$leave][$b] = 1.0;
        }
        $this->pivot($leave, $enter, $objective);
    }

    /**
     * Counts a column from its other bound.
     *
     * @param  array<int, float>  $objective
     */
    private function flip(int $column, array &$objective): void
    {
        $width = $this->width[$column];
        foreach ($this->t as $i => $line) {
            if ($line[$column] !== 0.0) {
                $this->t[$i][$this->columns] -= $line[$column] * $width;
                $this->t[$i][$column] = -$line[$column];
            }
        }
        $objective[$this->columns] -= $objective[$column] * $width;
        $objective[$column] = -$objective[$column];
        $this->flipped[$column] = ! $this->flipped[$column];
    }

    /** @param  array<int, float>  $objective */
    private function pivot(int $row, int $column, array &$objective): void
    {
        $line = $this->t[$row];
        $by = $line[$column];
        foreach ($line as $j => $v) {
            $line[$j] = $v / $by;
        }
        $line[$column] = 1.0;
        $this->t[$row] = $line;
        $nonzero = [];
        foreach ($line as $j => $v) {
            if ($v !== 0.0) {
                $nonzero[$j] = $v;
            }
        }
        foreach ($this->t as $i => $other) {
            $factor = $other[$column];
            if ($i !== $row && $factor !== 0.0) {
                foreach ($nonzero as $j => $v) {
                    $other[$j] -= $factor * $v;
                }
                $other[$column] = 0.0;
                $this->t[$i] = $other;
            }
        }
        $factor = $objective[$column];
        if ($factor !== 0.0) {
            foreach ($nonzero as $j => $v) {
                $objective[$j] -= $factor * $v;
            }
            $objective[$column] = 0.0;
        }
        $this->basis[$row] = $column;
    }

    /** An artificial one that is still basic at nothing is changed for a true column, or its row is empty and rests. */
    private function expelArtificials(int $true): void
    {
        $none = array_fill(0, $this->columns + 1, 0.0);
        foreach ($this->basis as $i => $b) {
            if ($b < $true) {
                continue;
            }
            for ($j = 0; $j < $true; $j++) {
                if (abs($this->t[$i][$j]) > 1e-7 && ! in_array($j, $this->basis, true)) {
                    $this->pivot($i, $j, $none);

                    break;
                }
            }
            if ($this->basis[$i] >= $true) {
                $this->width[$this->basis[$i]] = 0.0;
            }
        }
    }

    /**
     * @param  list<float>  $lower
     * @return list<float>
     */
    private function point(int $n, array $lower): array
    {
        $x = [];
        for ($j = 0; $j < $n; $j++) {
            $x[$j] = $this->flipped[$j] ? $this->width[$j] : 0.0;
        }
        foreach ($this->basis as $i => $b) {
            if ($b < $n) {
                $value = $this->t[$i][$this->columns];
                $x[$b] = $this->flipped[$b] ? $this->width[$b] - $value : $value;
            }
        }
        foreach ($x as $j => $v) {
            $x[$j] = $lower[$j] + $v;
        }

        return array_values($x);
    }
}
