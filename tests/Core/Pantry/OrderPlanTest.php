<?php

declare(strict_types=1);

namespace Tests\Core\Pantry;

use Crown\Pantry\OrderPlan;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;

/** An order planned back from its day. */
final class OrderPlanTest extends TestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable('2027-'.$day);
    }

    /** Due on the 20th, two days before: the 18th. */
    public function test_it_is_made_two_days_before_it_is_due_as_far_as_it_does_not_stand_there(): void
    {
        $plan = OrderPlan::of(12, 5, self::day('05-20'), self::day('05-01'));
        self::assertEquals([5, 7, self::day('05-18'), false], [
            $plan->fromShelf,
            $plan->toMake,
            $plan->makeBy,
            $plan->isLate,
        ]);
        self::assertSame('Make 7 by 18 May.', $plan->words);
        self::assertFalse(OrderPlan::of(12, 5, self::day('05-20'), self::day('05-18'))->isLate, 'on the last day');
        $late = OrderPlan::of(12, 5, self::day('05-20'), self::day('05-19'));
        self::assertTrue($late->isLate);
        self::assertStringContainsString('had to be made by 18 May', $late->words);
    }

    public function test_where_enough_stands_there_nothing_is_late(): void
    {
        $plan = OrderPlan::of(3, 9, self::day('05-20'), self::day('05-19'));
        self::assertSame([3, 0, false, 'Enough jars stand there.'], [
            $plan->fromShelf,
            $plan->toMake,
            $plan->isLate,
            $plan->words,
        ]);
        self::assertStringStartsWith('It was due', OrderPlan::of(3, 9, self::day('05-20'), self::day('05-21'))->words);
        self::assertSame(3, OrderPlan::of(3, -2, self::day('05-20'), self::day('05-01'))->toMake);
    }

    public function test_what_still_steeps_is_waited_for(): void
    {
        $at = static fn (string $ready): OrderPlan => OrderPlan::of(
            2,
            0,
            self::day('05-20'),
            self::day('05-01'),
            self::day($ready),
        );
        self::assertFalse($at('05-18')->isLate);
        self::assertTrue($at('05-19')->isLate);
        self::assertStringContainsString('ready on 19 May', $at('05-19')->words);
    }

    /** Nine in ninety days are one in ten; four last forty days, less two. */
    public function test_it_is_made_again_before_the_shelf_is_empty(): void
    {
        $by = static fn (int $left, int $out): ?string => OrderPlan::makeAgainBy($left, $out, 90, self::day('05-01'))
            ?->format('m-d');
        self::assertSame('06-08', $by(4, 9));
        self::assertSame('05-01', $by(0, 9));
        self::assertNull($by(4, 0));
        self::assertNull($by(100, 9));
        // What would last forty days keeps for twenty.
        $kept = OrderPlan::makeAgainBy(4, 9, 90, self::day('05-01'), self::day('05-21'));
        self::assertSame('05-19', $kept?->format('m-d'));
    }
}
