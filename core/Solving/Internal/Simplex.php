<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/**
 * Finds the x that makes sum(cost x x) least, with every row between its ends and every variable between its bounds. A
 * dense primal simplex in two phases that keeps bounds out of the rows: a variable may rest at either of its bounds.
 * Smallest index first (Bland) once steps stop gaining, so that it always ends; no chance in it. Method page:
 * docs/methods/solver.md.
 *
 * The tableau has a column for each variable, then one slack for each row, and the right-hand side last. A row that
 * does not hold at the lower bounds begins with an artificial variable in the basis; since such a one never comes in
 * again, it has a number and a width, and no column. A column counts from its lower bound, or, when it is flipped, down
 * from its upper one. Between two steps these hold:
 *  - the column of a basic variable is 1 in its own row and 0 elsewhere, and 0 in the objective;
 *  - every variable that is not basic rests at the bound it is counted from;
 *  - the right-hand side of a row is what its basic variable lies above that bound: from 0 to its width.
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

    /** Of the programme itself, and with its slacks: also the place of the right-hand side. */
    private readonly int $variables;

    private readonly int $columns;

    /**
     * @param  list<float>  $cost
     * @param  list<float>  $lower finite
     * @param  list<float>  $upper may be infinite
     * @param  list<Row>  $rows
     */
    private function __construct(
        private readonly array $cost,
        private readonly array $lower,
        array $upper,
        private readonly array $rows,
    ) {
        $this->variables = count($cost);
        $this->columns = $this->variables + count($rows);
        foreach ($upper as $j => $most) {
            $this->width[$j] = $most - $lower[$j];
        }
        foreach ($rows as $i => $row) {
            $this->width[$this->slack($i)] = self::isFree($row) || self::isTurned($row)
                ? INF
                : $row->most - $row->least;
            $this->width[$this->artificial($i)] = INF;
            $this->t[$i] = $this->line($i, $row);
            $this->basis[$i] = $this->slackFits($i) ? $this->slack($i) : $this->artificial($i);
        }
        $this->flipped = array_fill(0, max(1, $this->columns), false);
    }

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

        return (new self($cost, $lower, $upper, $rows))->solve();
    }

    private function solve(): Solution
    {
        if (! $this->becomesFeasible()) {
            return new Solution(false, $this->point(), 0.0, [], $this->pivots);
        }
        $objective = $this->costInWhatIsNotBasic();
        $this->run($objective);
        $x = $this->point();
        $total = 0.0;
        foreach ($x as $j => $value) {
            $total += $this->cost[$j] * $value;
        }

        return new Solution(true, $x, $total, $this->prices($objective), $this->pivots);
    }

    private function slack(int $row): int
    {
        return $this->variables + $row;
    }

    private function artificial(int $row): int
    {
        return $this->columns + $row;
    }

    /** Whether a row holds while every variable rests at its lower bound: its own slack can be basic then. */
    private function slackFits(int $row): bool
    {
        $slack = $this->slack($row);

        return $this->t[$row][$slack] === 1.0 && $this->t[$row][$this->columns] <= $this->width[$slack];
    }

    /** Only its upper end is finite: row + slack = most, where else row - slack = least. */
    private static function isTurned(Row $row): bool
    {
        return ! is_finite($row->least) && is_finite($row->most);
    }

    /** Neither end is finite: it asks for nothing. */
    private static function isFree(Row $row): bool
    {
        return ! is_finite($row->least) && ! is_finite($row->most);
    }

    /** @return array<int, float> the row's line of the tableau, its right-hand side not below nothing */
    private function line(int $i, Row $row): array
    {
        $line = array_fill(0, $this->columns + 1, 0.0);
        if (! self::isFree($row)) {
            $shift = 0.0;
            foreach ($row->coefficients as $j => $c) {
                $line[$j] = $c;
                $shift += $c * $this->lower[$j];
            }
            $line[$this->slack($i)] = self::isTurned($row) ? 1.0 : -1.0;
            $line[$this->columns] = (self::isTurned($row) ? $row->most : $row->least) - $shift;
        }
        $rests = $line[$this->columns] === 0.0 && $line[$this->slack($i)] < 0.0;

        return $line[$this->columns] < 0.0 || $rests
            ? array_map(static fn (float $v): float => -$v, $line)
            : $line;
    }

    /** Phase one: the artificial ones are driven to nothing, or it cannot be done. */
    private function becomesFeasible(): bool
    {
        $objective = array_fill(0, $this->columns + 1, 0.0);
        foreach ($this->t as $i => $line) {
            foreach ($this->basis[$i] < $this->columns ? [] : $line as $j => $v) {
                $objective[$j] -= $v;
            }
        }
        $this->run($objective);
        if ($objective[$this->columns] < -self::FEASIBLE * (1 + count($this->rows))) {
            return false;
        }
        $this->expelArtificials();

        return true;
    }

    /** @return array<int, float> phase two begins with it: the cost, nothing of it in a basic column */
    private function costInWhatIsNotBasic(): array
    {
        $objective = array_fill(0, $this->columns + 1, 0.0);
        foreach (array_keys($this->cost) as $j) {
            $objective[$j] = $this->counted($j);
        }
        foreach ($this->basis as $i => $b) {
            $price = $b < $this->variables ? $this->counted($b) : 0.0;
            if ($price !== 0.0) {
                foreach ($this->t[$i] as $j => $v) {
                    $objective[$j] -= $price * $v;
                }
            }
        }

        return $objective;
    }

    /** The cost of a variable as its column is counted: what is flipped grows as its variable falls. */
    private function counted(int $j): float
    {
        return $this->flipped[$j] ? -$this->cost[$j] : $this->cost[$j];
    }

    /**
     * What one more unit of each row's slack would cost; 0 where the row does not bind.
     *
     * @param  array<int, float>  $objective at the end
     * @return list<float>
     */
    private function prices(array $objective): array
    {
        $basic = array_fill_keys($this->basis, true);
        $prices = [];
        foreach ($this->rows as $i => $row) {
            $slack = $this->slack($i);
            $reduced = $this->flipped[$slack] ? -$objective[$slack] : $objective[$slack];
            $binds = abs($reduced) >= self::EPS && ! isset($basic[$slack]);
            $prices[] = $binds ? (self::isTurned($row) ? -$reduced : $reduced) : 0.0;
        }

        return $prices;
    }

    /** @param  array<int, float>  $objective reduced costs; changed in place */
    private function run(array &$objective): void
    {
        $stalled = 0;
        for ($turn = 0; $turn < 20_000; $turn++) {
            $enter = $this->entering($objective, $stalled > 20);
            if ($enter < 0) {
                return;
            }
            $before = $objective[$this->columns];
            $this->step($enter, $objective);
            $stalled = abs($objective[$this->columns] - $before) < 1e-12 ? $stalled + 1 : 0;
        }
    }

    /** @param  array<int, float>  $objective */
    private function entering(array $objective, bool $smallest): int
    {
        $best = -1;
        $least = -self::EPS;
        for ($j = 0; $j < $this->columns; $j++) {
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

    /**
     * Lets a column in: it grows until a basic variable, or it itself, reaches a bound.
     *
     * @param  array<int, float>  $objective
     */
    private function step(int $enter, array &$objective): void
    {
        $this->pivots++;
        $leave = $this->leaving($enter);
        if ($leave === null) {
            if (is_finite($this->width[$enter])) {
                $this->flip($enter, $objective);
            } else {
                // Unbounded cannot be with bounded shares; the column is closed rather than followed.
                $this->width[$enter] = 0.0;
            }

            return;
        }
        if ($this->t[$leave][$enter] < 0.0) {
            $this->turn($leave, $objective);
        }
        $this->pivot($leave, $enter, $objective);
    }

    /** The row whose basic variable is the first to reach a bound as a column grows; null when the column itself is. */
    private function leaving(int $enter): ?int
    {
        $most = $this->width[$enter];
        $leave = null;
        foreach ($this->t as $i => $line) {
            $limit = $this->room($i, $line[$enter]);
            $equal = $leave !== null && $limit < $most + 1e-12 && $this->basis[$i] < $this->basis[$leave];
            if ($limit < $most - 1e-12 || $equal) {
                [$most, $leave] = [$limit, $i];
            }
        }

        return $leave;
    }

    /** How far a column may grow before a row's basic variable reaches a bound: it falls, or rises, with it. */
    private function room(int $row, float $by): float
    {
        $value = $this->t[$row][$this->columns];
        $width = $this->width[$this->basis[$row]];

        return match (true) {
            $by > self::EPS => max(0.0, $value) / $by,
            $by < -self::EPS && is_finite($width) => max(0.0, $width - $value) / -$by,
            default => INF,
        };
    }

    /**
     * Counts a row's basic variable from its other bound. Its column is a unit column: turned round, the row changes
     * its sign.
     *
     * @param  array<int, float>  $objective
     */
    private function turn(int $row, array &$objective): void
    {
        $basic = $this->basis[$row];
        $this->flip($basic, $objective);
        $this->t[$row] = array_map(static fn (float $v): float => -$v, $this->t[$row]);
        $this->t[$row][$basic] = 1.0;
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
    private function expelArtificials(): void
    {
        $none = array_fill(0, $this->columns + 1, 0.0);
        foreach ($this->basis as $i => $b) {
            if ($b < $this->columns) {
                continue;
            }
            $column = $this->comesInFor($i);
            if ($column === null) {
                $this->t[$i] = $none;
            } else {
                $this->pivot($i, $column, $none);
            }
        }
    }

    /** The first column that can be basic in a row; null where the row says nothing that others do not. */
    private function comesInFor(int $row): ?int
    {
        for ($j = 0; $j < $this->columns; $j++) {
            if (abs($this->t[$row][$j]) > 1e-7 && ! in_array($j, $this->basis, true)) {
                return $j;
            }
        }

        return null;
    }

    /** @return list<float> the programme's variables, as they now are */
    private function point(): array
    {
        $x = [];
        for ($j = 0; $j < $this->variables; $j++) {
            $x[$j] = $this->flipped[$j] ? $this->width[$j] : 0.0;
        }
        foreach ($this->basis as $i => $b) {
            if ($b < $this->variables) {
                $value = $this->t[$i][$this->columns];
                $x[$b] = $this->flipped[$b] ? $this->width[$b] - $value : $value;
            }
        }
        foreach ($x as $j => $value) {
            $x[$j] = $this->lower[$j] + $value;
        }

        return array_values($x);
    }
}
