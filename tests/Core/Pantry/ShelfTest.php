<?php

declare(strict_types=1);

namespace Tests\Core\Pantry;

use Crown\Catalogue\Ingredient;
use Crown\Measure\Property;
use Crown\Pantry\Held;
use Crown\Pantry\LimitedBy;
use Crown\Pantry\LotLife;
use Crown\Pantry\MovementKind;
use Crown\Pantry\Take;
use Crown\Pantry\Taking;
use Crown\Pantry\Trace;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** Until when a bottle is to be used, which is used first, and where it went. */
final class ShelfTest extends CoreTestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable($day);
    }

    private static function oil(): Ingredient
    {
        return self::catalogue()->get('grapeseed-oil');
    }

    public function test_the_earliest_of_three_ends_decides(): void
    {
        $oil = self::oil();
        $months = $oil->facts->get(Property::LifeMonths)->band->low;
        $kept = self::day('2026-03-01')->modify(sprintf('+%d days', (int) floor($months * 30.44)));
        $life = LotLife::of($oil, self::day('2026-03-01'), null, null, null, 20.0);
        self::assertEquals([$kept, LimitedBy::Kept], [$life->useBy, $life->by]);
        self::assertStringContainsString('at 20 °C', $life->reasons[0]);

        $printed = self::day('2026-05-31');
        $life = LotLife::of($oil, self::day('2026-03-01'), $printed, null, null, 20.0);
        self::assertEquals([$printed, LimitedBy::Printed], [$life->useBy, $life->by]);
        self::assertCount(2, $life->dates);

        // Two months of 30.44 days are 60 whole days.
        $life = LotLife::of($oil, self::day('2026-03-01'), $printed, self::day('2026-03-10'), 2.0, 20.0);
        self::assertEquals([self::day('2026-05-09'), LimitedBy::Opened], [$life->useBy, $life->by]);
        self::assertSame('Once opened it keeps 2 months.', $life->reasons[0]);
        self::assertSame(3, $life->daysLeft(self::day('2026-05-06')));
        self::assertSame(-1, $life->daysLeft(self::day('2026-05-10')));
        self::assertSame([true, true, false, false], array_map(LotLife::isSoon(...), [-1, 30, 31, null]));
    }

    /** Ten degrees warmer is half as long. */
    public function test_where_it_stands_counts_and_an_opened_life_of_its_kind_does_where_none_is_printed(): void
    {
        $oil = self::oil();
        $came = self::day('2026-01-01');
        $days = static fn (float $at): int => LotLife::of($oil, $came, null, null, null, $at)->daysLeft($came) ?? 0;
        self::assertEqualsWithDelta($days(20.0) / 2, $days(30.0), 1.0);
        self::assertGreaterThan($days(20.0), $days(12.0));
        $opened = LotLife::of($oil, null, null, self::day('2026-01-01'), null, 20.0);
        self::assertSame(LimitedBy::Opened, $opened->by);
    }

    public function test_where_nothing_tells_it_says_so(): void
    {
        $life = LotLife::of(null, self::day('2026-01-01'), null, self::day('2026-01-02'), null, 20.0);
        self::assertSame([null, LimitedBy::Unknown], [$life->useBy, $life->by]);
        self::assertStringStartsWith('Cannot tell', $life->reasons[0]);
        self::assertNull($life->daysLeft(self::day('2026-01-01')));
        self::assertNull($life->jsonSerialize()['use_by']);
    }

    /** @param  list<Take>  $takes */
    private static function told(array $takes): array
    {
        return array_map(static fn (Take $t): array => [$t->lot, $t->grams, $t->found], $takes);
    }

    public function test_first_to_expire_first_and_on_from_the_next(): void
    {
        $lots = [new Held(1, 50.0), new Held(2, 30.0, '2027-05-01'), new Held(3, 20.0, '2027-03-01')];
        self::assertSame([3, 2, 1], array_map(static fn (Held $h): int => $h->lot, Held::inOrder($lots)));
        self::assertSame([[3, 20.0, 0.0], [2, 15.0, 0.0]], self::told(Taking::of($lots, 35.0)->takes));
        self::assertSame([[3, 20.0, 0.0]], self::told(Taking::of($lots, 20.0)->takes));
        // The one that she took comes first, whatever expires before it; then the usual order.
        self::assertSame(2, Taking::of($lots, 10.0, 2)->takes[0]->lot);
        self::assertSame([2, 3], array_slice(array_column(self::told(Taking::of($lots, 9_000.0, 2)->takes), 0), 0, 2));
        self::assertSame([], Taking::of($lots, 0.0)->takes);
    }

    public function test_what_the_scale_says_wins_and_what_is_more_was_in_the_last(): void
    {
        $lots = [new Held(1, 30.0), new Held(2, 20.0, '2027-03-01')];
        self::assertSame([[2, 20.0, 0.0], [1, 42.0, 12.0]], self::told(Taking::of($lots, 62.0)->takes));
        // Of which nobody knows how much there is, it held it all.
        $unknown = [new Held(1, null, '2027-01-01'), new Held(2, 20.0)];
        self::assertSame([[1, 7.0, 7.0]], self::told(Taking::of($unknown, 7.0)->takes));
        $none = Taking::of([new Held(1, 0.0)], 5.0);
        self::assertSame([[], 5.0], [$none->takes, $none->elsewhere]);
    }

    public function test_ten_thousand_takings_lose_no_gram_and_leave_nothing_below_zero(): void
    {
        mt_srand(7);
        $left = [1 => 500.0, 2 => 250.0, 3 => 0.0];
        $found = $taken = $elsewhere = 0.0;
        $came = array_sum($left);
        $perGram = [1 => 0.02, 2 => 0.05, 3 => 0.11];
        $paid = 500.0 * 0.02 + 250.0 * 0.05;
        $foundWorth = $outWorth = 0.0;
        for ($n = 0; $n < 10_000; $n++) {
            if (mt_rand(0, 3) === 0) {
                $more = mt_rand(1, 20_000) / 100;
                $lot = mt_rand(1, 3);
                $left[$lot] += $more;
                $came += $more;
                $paid += $more * $perGram[$lot];

                continue;
            }
            $asked = mt_rand(1, 9_000) / 100;
            $days = ['2027-01-01', null, '2026-12-01'];
            $taking = Taking::of(array_map(
                static fn (int $lot): Held => new Held($lot, $left[$lot], $days[$lot - 1]),
                array_keys($left),
            ), $asked);
            foreach ($taking->takes as $take) {
                $left[$take->lot] += $take->found - $take->grams;
                $found += $take->found;
                $foundWorth += $take->found * $perGram[$take->lot];
                $outWorth += $take->grams * $perGram[$take->lot];
                $taken += $take->grams;
            }
            $elsewhere += $taking->elsewhere;
            self::assertGreaterThanOrEqual(-1e-6, min($left));
            self::assertEqualsWithDelta($asked, array_sum(array_map(
                static fn (Take $t): float => $t->grams,
                $taking->takes,
            )) + $taking->elsewhere, 0.006);
        }
        self::assertEqualsWithDelta($came + $found - $taken, array_sum($left), 1e-4);
        // What went out and what is left cost together what came, and what was found.
        self::assertEqualsWithDelta($paid + $foundWorth, $outWorth + array_sum(array_map(
            static fn (int $lot): float => $left[$lot] * $perGram[$lot],
            array_keys($left),
        )), 1e-4);
        self::assertGreaterThan(0.0, $found + $elsewhere);
    }

    public function test_what_came_of_what_stands_column_by_column(): void
    {
        $node = static fn (string $kind): array => ['kind' => $kind, 'title' => $kind];
        $trace = Trace::of(
            [
                'lot-1' => $node('lot'),
                'lot-2' => $node('lot'),
                'steep-1' => $node('steep'),
                'batch-1' => $node('batch'),
            ],
            [
                ['from' => 'lot-1', 'to' => 'batch-1', 'grams' => 5.0],
                ['from' => 'lot-1', 'to' => 'steep-1', 'grams' => 400.0],
                ['from' => 'steep-1', 'to' => 'lot-2', 'grams' => 380.0],
                ['from' => 'lot-2', 'to' => 'batch-1', 'grams' => 100.0],
                ['from' => 'lot-9', 'to' => 'batch-1', 'grams' => 1.0],
            ],
        );
        self::assertSame(['lot-1' => 0, 'lot-2' => 2, 'steep-1' => 1, 'batch-1' => 3], $trace->columns);
        self::assertCount(4, $trace->jsonSerialize()['edges'], 'what names nothing is left out');
        // A circle ends.
        $circle = Trace::of(['a' => $node('lot'), 'b' => $node('lot')], [
            ['from' => 'a', 'to' => 'b', 'grams' => 1.0],
            ['from' => 'b', 'to' => 'a', 'grams' => 1.0],
        ]);
        self::assertLessThan(2, max($circle->columns));
    }

    public function test_what_a_person_says_is_told_apart_from_what_follows(): void
    {
        $said = array_filter(MovementKind::cases(), static fn (MovementKind $k): bool => $k->isSaid());
        self::assertSame(
            ['counted', 'given', 'sold', 'opened', 'spoiled', 'wasted'],
            array_values(array_map(static fn (MovementKind $k): string => $k->value, $said)),
        );
        foreach (MovementKind::cases() as $kind) {
            self::assertNotSame('', $kind->words());
        }
    }
}
