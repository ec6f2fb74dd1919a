<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Solving\Internal\Row;
use Crown\Solving\Internal\Simplex;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SimplexTest extends TestCase
{
    public function test_worked_examples(): void
    {
        // Most of 3x + 2y with x + y <= 4, x + 3y <= 6, x <= 3: (3, 1), 11.
        $s = Simplex::least([-3, -2], [0, 0], [3, INF], [new Row([1, 1], -INF, 4), new Row([1, 3], -INF, 6)]);
        self::assertEqualsWithDelta([3, 1], $s->x, 1e-9);
        self::assertEqualsWithDelta(-11, $s->cost, 1e-9);
        // Least of x + y with x + 2y >= 4, 3x + y >= 6: (1.6, 1.2); prices 0.4 and 0.2.
        $s = Simplex::least([1, 1], [0, 0], [10, 10], [new Row([1, 2], 4, INF), new Row([3, 1], 6, INF)]);
        self::assertEqualsWithDelta([1.6, 1.2], $s->x, 1e-9);
        self::assertEqualsWithDelta([0.4, 0.2], $s->prices, 1e-9);
        // A row between two ends, and lower bounds that are not nothing.
        $s = Simplex::least([1, 2, 3], [0.1, 0, 0], [1, 1, 1], [new Row([1, 1, 1], 1, 1), new Row([10, 5, 0], 2, 4)]);
        self::assertEqualsWithDelta([0.4, 0, 0.6], $s->x, 1e-9);
    }

    public function test_impossible_is_said(): void
    {
        self::assertFalse(Simplex::least([1], [0], [1], [new Row([1], 3, INF)])->feasible);
        self::assertFalse(
            Simplex::least([1, 1], [0, 0], [1, 1], [new Row([1, 1], 1, 1), new Row([1, 1], 1.5, 1.5)])->feasible,
        );
        self::assertFalse(Simplex::least([1], [2], [1], [])->feasible);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 40) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    /**
     * Its own conditions: every row and bound kept, and no column that would still gain (reduced costs by the prices it
     * gives).
     */
    #[DataProvider('seeds')]
    public function test_random_programmes_meet_the_conditions_of_optimality(int $seed): void
    {
        mt_srand($seed);
        $n = mt_rand(3, 25);
        $m = mt_rand(1, 12);
        $rows = [new Row(array_fill(0, $n, 1.0), 1.0, 1.0)];
        for ($i = 0; $i < $m; $i++) {
            $c = [];
            for ($j = 0; $j < $n; $j++) {
                $c[$j] = mt_rand(-50, 100) / 10;
            }
            $rows[] = new Row($c, mt_rand(0, 2) === 0 ? -INF : mt_rand(-30, 20) / 10, mt_rand(25, 90) / 10);
        }
        $cost = array_map(static fn (): float => mt_rand(-100, 100) / 10, range(1, $n));
        $upper = array_map(static fn (): float => mt_rand(20, 100) / 100, range(1, $n));
        $lower = array_map(static fn (): float => mt_rand(0, 3) === 0 ? 0.01 : 0.0, range(1, $n));
        $s = Simplex::least($cost, $lower, $upper, $rows);
        if (! $s->feasible) {
            self::assertFalse(self::anyPoint($lower, $upper, $rows), 'said impossible, yet a point was found');

            return;
        }
        foreach ($rows as $row) {
            $value = $row->value($s->x);
            self::assertGreaterThanOrEqual($row->least - 1e-6, $value);
            self::assertLessThanOrEqual($row->most + 1e-6, $value);
        }
        foreach ($s->x as $j => $x) {
            self::assertGreaterThanOrEqual($lower[$j] - 1e-9, $x);
            self::assertLessThanOrEqual($upper[$j] + 1e-9, $x);
            $reduced = $cost[$j];
            foreach ($rows as $i => $row) {
                $reduced -= $s->prices[$i] * ($row->coefficients[$j] ?? 0.0);
            }
            if ($x < $upper[$j] - 1e-6) {
                self::assertGreaterThanOrEqual(-1e-5, $reduced, 'more of it would gain');
            }
            if ($x > $lower[$j] + 1e-6) {
                self::assertLessThanOrEqual(1e-5, $reduced, 'less of it would gain');
            }
        }
        self::assertEquals($s, Simplex::least($cost, $lower, $upper, $rows), 'the same again');
    }

    /**
     * A rough hunt for a point: random blends.
     *
     * @param  list<float>  $lower
     * @param  list<float>  $upper
     * @param  list<Row>  $rows
     */
    private static function anyPoint(array $lower, array $upper, array $rows): bool
    {
        for ($k = 0; $k < 3000; $k++) {
            $x = array_map(static fn (): float => -log(mt_rand(1, 10_000) / 10_000), $lower);
            $sum = array_sum($x);
            $x = array_map(static fn (float $v): float => $v / $sum, $x);
            $fits = true;
            foreach ($x as $j => $v) {
                $fits = $fits && $v >= $lower[$j] && $v <= $upper[$j];
            }
            foreach ($rows as $row) {
                $fits = $fits && $row->value($x) >= $row->least && $row->value($x) <= $row->most;
            }
            if ($fits) {
                return true;
            }
        }

        return false;
    }
}
