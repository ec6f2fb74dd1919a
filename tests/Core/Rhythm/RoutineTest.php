<?php

declare(strict_types=1);

namespace Tests\Core\Rhythm;

use Crown\Rhythm\Act;
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
        self::assertSame(96.0, $routine->gramsUntil(new DateTimeImmutable('2027-03-31')));
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
