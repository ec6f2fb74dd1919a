<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\Band;
use Crown\Measure\MeasureError;
use Crown\Measure\Shares;
use PHPUnit\Framework\TestCase;

final class SharesTest extends TestCase
{
    public function test_worst_cases_are_exact(): void
    {
        // hi_i / (hi_i + sum of the others' lo), by hand: 12 / (12 + 80 + 4) and 8 / (8 + 100 + 6).
        [$first] = Shares::of([Band::of(8, 10, 12), Band::of(80, 90, 100), Band::of(4, 5, 6)]);

        self::assertEqualsWithDelta(12 / 96, $first->high, 1e-12);
        self::assertEqualsWithDelta(10 / 105, $first->best, 1e-12);
        self::assertEqualsWithDelta(8 / 114, $first->low, 1e-12);
    }

    public function test_no_draw_from_the_bands_escapes_the_worst_case(): void
    {
        mt_srand(7);
        $masses = [Band::of(1, 2, 5), Band::of(20, 30, 33), Band::of(0.1, 0.4, 0.9), Band::exact(12)];
        $shares = Shares::of($masses);
        $group = Shares::ofGroup([$masses[0], $masses[2]], [$masses[1], $masses[3]]);
        for ($n = 0; $n < 2000; $n++) {
            $drawn = array_map(
                static fn (Band $m): float => $m->low + (($m->high - $m->low) * mt_rand()) / mt_getrandmax(),
                $masses,
            );
            foreach ($drawn as $i => $mass) {
                $share = $mass / array_sum($drawn);
                self::assertTrue($shares[$i]->low - 1e-12 <= $share && $share <= $shares[$i]->high + 1e-12);
            }
            $together = ($drawn[0] + $drawn[2]) / array_sum($drawn);
            self::assertTrue($group->low - 1e-12 <= $together && $together <= $group->high + 1e-12);
        }
    }

    public function test_displayed_shares_add_up_to_exactly_a_hundred(): void
    {
        mt_srand(11);
        for ($n = 0; $n < 300; $n++) {
            $masses = array_map(static fn (): float => mt_rand(1, 10_000) / 7, range(1, mt_rand(1, 40)));
            $shown = Shares::displayed(array_map(static fn (float $m): float => $m / array_sum($masses), $masses));
            self::assertSame(1000, (int) round(array_sum($shown) * 10));
            // Whatever is not among the largest is the figure that a sentence would say.
            $said = array_map(static fn (float $m): float => round($m / array_sum($masses) * 100, 1), $masses);
            $off = (int) abs(round((100.0 - array_sum($said)) * 10));
            arsort($masses);
            foreach (array_slice(array_keys($masses), $off) as $i) {
                self::assertSame(sprintf('%.1f', $said[$i]), sprintf('%.1f', $shown[$i]));
            }
        }
        self::assertSame([33.4, 33.3, 33.3], Shares::displayed([1 / 3, 1 / 3, 1 / 3]));
        self::assertSame([0.0], Shares::displayed([0.0]));
    }

    public function test_bands_refuse_disorder_and_infinity(): void
    {
        foreach ([[2, 1, 3], [1, 3, 2], [NAN, 1, 2], [1, 2, INF]] as [$low, $best, $high]) {
            try {
                Band::of($low, $best, $high);
                self::fail('A disordered band was taken.');
            } catch (MeasureError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function test_band_arithmetic(): void
    {
        $a = Band::of(1, 2, 3);
        self::assertEquals(Band::of(-2, 0, 2), $a->minus($a));
        self::assertEquals(Band::of(1, 4, 9), $a->times($a));
        self::assertEquals(Band::of(1 / 3, 1, 3), $a->over($a));
        self::assertEquals(Band::of(-6, -4, -2), $a->scaled(-2));
        $this->expectException(MeasureError::class);
        $a->over(Band::of(0, 1, 2));
    }
}
