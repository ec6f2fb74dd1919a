<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\CupSize;
use Crown\Measure\DateStyle;
use Crown\Measure\Habits;
use Crown\Measure\School;
use PHPUnit\Framework\TestCase;

final class SchoolTest extends TestCase
{
    public function test_each_is_a_question_with_options_that_say_what_they_cost(): void
    {
        foreach (School::cases() as $school) {
            self::assertNotSame('', $school->question());
            self::assertGreaterThanOrEqual(2, count($school->options()));
            foreach ($school->options() as $option) {
                self::assertMatchesRegularExpression('/^\p{Lu}.{4,}/u', $option->label);
                self::assertStringEndsWith('.', $option->costs);
            }
        }
    }

    public function test_the_safer_is_set_where_health_is_concerned(): void
    {
        self::assertSame(
            ['cold', 'dark', 'strained', 'dried', 'water', 'none', 'one'],
            array_map(
                static fn (School $s): string => $s->safer(),
                [
                    School::Heat,
                    School::Light,
                    School::Straining,
                    School::Plant,
                    School::Preserving,
                    School::Scents,
                    School::Herbs,
                ],
            ),
        );
    }

    public function test_what_was_chosen_counts_and_what_is_no_choice_does_not(): void
    {
        $all = School::all(['heat' => 'warm', 'light' => 'moon', 'cold' => 7, 'football' => 'yes']);

        self::assertSame(['warm', 'dark', 'shelf'], [$all['heat'], $all['light'], $all['cold']]);
        self::assertCount(count(School::cases()), $all);
    }

    public function test_a_country_tells_its_habits(): void
    {
        $german = Habits::of('DE');
        self::assertSame(
            [CupSize::Metric, true, 'EUR', 'eu', 'Germany'],
            [$german?->cup, $german?->decimalComma, $german?->currency, $german?->region, $german?->name],
        );
        self::assertSame([CupSize::UsCustomary, false, 'us'], [
            Habits::of('US')?->cup,
            Habits::of('US')->decimalComma,
            Habits::of('US')->region,
        ]);
        self::assertSame(
            [DateStyle::MonthFirst, DateStyle::DayFirst, DateStyle::Numbers],
            array_map(static fn (string $c): ?DateStyle => Habits::of($c)?->dates, ['US', 'DE', 'SE']),
        );
        self::assertSame('uk', Habits::of('GB')?->region);
        self::assertNull(Habits::of('XX'));
        $names = array_map(static fn (Habits $h): string => $h->name, Habits::all());
        $sorted = $names;
        sort($sorted);
        self::assertSame($sorted, $names);
        self::assertGreaterThan(30, count($names));
    }
}
