<?php

declare(strict_types=1);

namespace Tests\Core\Rhythm;

use Crown\Rhythm\Act;
use Crown\Rhythm\NewThings;
use Crown\Rhythm\Routine;
use Crown\Rhythm\RoutineDay;
use Crown\Rhythm\RoutineError;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;

final class RoutineTest extends TestCase
{
    public function test_the_patch_test_comes_first_and_applications_wait_for_it(): void
    {
        $routine = new Routine(new DateTimeImmutable('2027-01-04'), 2, 2, 4.0, 100.0);

        self::assertSame(
            [
                '2027-01-04 patch-test',
                '2027-01-06 patch-reading',
                '2027-01-07 application',
                '2027-01-10 application',
                '2027-01-14 application',
                '2027-01-17 application',
            ],
            array_map(
                static fn (RoutineDay $d): string => $d->date->format('Y-m-d').' '.$d->act->value,
                $routine->days(),
            ),
        );
    }

    public function test_the_jar_runs_out_on_a_day(): void
    {
        // 100 g at 4 g a time is 25 uses; at 2 a week the 25th falls 12 weeks after the first.
        $routine = new Routine(new DateTimeImmutable('2027-01-04'), 2, 1, 4.0, 100.0);
        self::assertSame(25, $routine->usesInJar());
        self::assertSame('2027-04-01', $routine->emptyOn()->format('Y-m-d'));
        // Until the end of March, 84 days on: 24 uses, 96 g is the batch worth making.
        $kept = new Routine(new DateTimeImmutable('2027-01-04'), 2, 1, 4.0, 100.0, new DateTimeImmutable('2027-03-31'));
        self::assertSame(96.0, $kept->worthMaking());
    }

    public function test_nothing_is_applied_past_its_day_or_out_of_an_empty_jar(): void
    {
        $start = new DateTimeImmutable('2026-12-01');
        $day = new DateTimeImmutable('2026-12-08');
        // Read on the 3rd; uses on the 4th, the 7th and the 11th, which is too late.
        $days = array_map(
            static fn (RoutineDay $d): string => $d->date->format('j M'),
            (new Routine($start, 2, 12, 4.0, 100.0, $day))->days(),
        );
        self::assertSame(['1 Dec', '3 Dec', '4 Dec', '7 Dec'], $days);
        // Nine grams are two uses of four.
        self::assertCount(4, (new Routine($start, 2, 12, 4.0, 9.0))->days());
        $this->expectException(RoutineError::class);
        $this->expectExceptionMessage('It keeps to 8 December 2026');
        (new Routine(new DateTimeImmutable('2026-12-06'), 2, 12, 4.0, 100.0, $day))->keepsUntilItIsRead();
    }

    public function test_two_heads_on_one_jar_empty_it_together(): void
    {
        $start = new DateTimeImmutable('2026-12-01');
        $one = new Routine($start, 4, 12, 10.0, null);
        // 195 g at 80 g a week: 160 g are gone after two weeks; the next day takes 20 of the last 35.
        $shared = new Routine($start, 4, 12, 10.0, 195.0, others: [$one]);
        self::assertSame(9, $shared->usesInJar());
        self::assertSame('2026-12-18', $shared->emptyOn()?->format('Y-m-d'));
        self::assertSame(19, (new Routine($start, 4, 12, 10.0, 195.0))->usesInJar());
    }

    public function test_what_is_made_fresh_each_time_is_never_empty(): void
    {
        $fresh = new Routine(new DateTimeImmutable('2026-12-01'), 1, 8, 22.5, null);
        self::assertNull($fresh->emptyOn());
        self::assertNull($fresh->usesInJar());
        self::assertNull($fresh->endsWords());
        self::assertSame(22.5, $fresh->worthMaking());
        self::assertCount(10, $fresh->days());
    }

    public function test_whoever_shares_never_uses_more_than_there_is(): void
    {
        mt_srand(20261201);
        for ($n = 0; $n < 300; $n++) {
            $made = fn (?float $grams, array $others = []): Routine => new Routine(
                (new DateTimeImmutable('2026-12-01'))->modify(sprintf('+%d days', mt_rand(0, 40))),
                mt_rand(1, 7),
                52,
                mt_rand(1, 200) / 10,
                $grams,
                null,
                $others,
            );
            $others = array_map(static fn (): Routine => $made(null), range(1, mt_rand(1, 4)));
            $grams = (float) mt_rand(50, 5000);
            $all = $made($grams, $others);
            $alone = new Routine($all->start, $all->perWeek, 52, $all->gramsPerUse, $grams);
            self::assertLessThanOrEqual($alone->emptyOn(), $all->emptyOn());
            $end = $all->emptyOn();
            self::assertNotNull($end);
            if ($all->usesInJar() > 0) {
                $used = array_sum(array_map(
                    static fn (Routine $r): float => $r->usesUntil($end) * $r->gramsPerUse,
                    [$all, ...$others],
                ));
                self::assertLessThanOrEqual($grams + 1e-6, $used);
            }
            // As many days as it says up to any day.
            $applied = array_filter($all->days(), static fn (RoutineDay $d): bool => $d->act === Act::Application);
            $last = $all->start->modify('+300 days');
            self::assertCount(
                min($all->usesUntil($last), max(1, (int) $all->usesInJar())),
                array_filter($applied, static fn (RoutineDay $d): bool => $d->date <= $last),
            );
        }
    }

    public function test_one_new_thing_at_a_time(): void
    {
        $others = ['Loft balm' => new DateTimeImmutable('2026-12-01')];
        self::assertCount(1, NewThings::tooNear(new DateTimeImmutable('2026-12-14'), $others));
        self::assertCount(1, NewThings::tooNear(new DateTimeImmutable('2026-11-20'), $others));
        self::assertSame([], NewThings::tooNear(new DateTimeImmutable('2026-12-15'), $others));
    }

    public function test_refuses_a_rhythm_that_cannot_be(): void
    {
        $start = new DateTimeImmutable('2027-01-04');
        foreach (
            [
                fn () => new Routine($start, 0, 1, 1, 1),
                fn () => new Routine($start, 8, 1, 1, 1),
                fn () => new Routine($start, 1, 60, 1, 1),
                fn () => new Routine($start, 1, 1, 0, 1),
            ] as $bad
        ) {
            try {
                $bad();
                self::fail('A routine that cannot be was taken.');
            } catch (RoutineError $e) {
                self::assertStringContainsString('Allowed', $e->getMessage());
            }
        }
        self::assertStringContainsString('48 hours', Act::PatchTest->words('the oil'));
    }
}
