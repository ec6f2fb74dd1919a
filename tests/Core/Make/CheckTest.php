<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Make\Check;
use Crown\Make\Sign;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** When a finished batch is looked at, and what must not be used any more. */
final class CheckTest extends CoreTestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable($day);
    }

    /**
     * @param  list<string>  $looked
     * @return array<string, array{string, bool}>
     */
    private static function checks(array $looked, ?string $until = null): array
    {
        $checks = [];
        $all = Check::of(
            self::day('2027-01-01'),
            array_map(self::day(...), $looked),
            $until === null ? null : self::day($until),
        );
        foreach ($all as $check) {
            $checks[$check->name] = [$check->due->format('Y-m-d'), $check->done];
        }

        return $checks;
    }

    public function test_a_week_and_one_three_and_six_months(): void
    {
        self::assertSame([
            '1 week' => ['2027-01-08', false],
            '1 month' => ['2027-01-31', false],
            '3 months' => ['2027-04-02', false],
            '6 months' => ['2027-07-02', false],
        ], self::checks([]));
    }

    /** A quarter of its days sooner counts: the month's from the 23rd day on (23 = 30 x 0.75, rounded), 24 January. */
    public function test_one_look_is_one_check(): void
    {
        $done = static fn (string $day): array => array_keys(array_filter(
            self::checks([$day]),
            static fn (array $c): bool => $c[1],
        ));

        self::assertSame([], $done('2027-01-05'), 'the fourth day is too soon');
        self::assertSame(['1 week'], $done('2027-01-06'));
        self::assertSame(['1 week'], $done('2027-01-23'));
        self::assertSame(['1 month'], $done('2027-01-24'));
        self::assertSame(['6 months'], $done('2029-01-01'), 'late is late, and done');
    }

    public function test_what_is_past_its_day_is_not_looked_at(): void
    {
        self::assertSame(['1 week', '1 month'], array_keys(self::checks([], '2027-02-10')));
        self::assertSame([], self::checks([], '2027-01-02'));
    }

    public function test_due_from_its_day_on_until_it_is_done(): void
    {
        [$week] = Check::of(self::day('2027-01-01'), [], null);
        self::assertFalse($week->isDue(self::day('2027-01-07')));
        self::assertTrue($week->isDue(self::day('2027-01-08')));
        [$done] = Check::of(self::day('2027-01-01'), [self::day('2027-01-09')], null);
        self::assertFalse($done->isDue(self::day('2027-02-01')));
    }

    public function test_rancid_and_mould_are_the_end_of_it(): void
    {
        self::assertSame(
            [Sign::BadSmell, Sign::Mould],
            array_values(array_filter(Sign::cases(), static fn (Sign $s): bool => $s->isBad())),
        );
    }
}
