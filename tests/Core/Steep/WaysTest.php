<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Measure\MeasureError;
use Crown\Steep\Charge;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\Herb;
use Crown\Steep\MethodTable;
use Crown\Steep\Pour;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepDocument;
use Crown\Steep\SteepDraft;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Way;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** How a jar is held: the heat and the time that are written, where it is moved to and for how long, fats that set. */
final class WaysTest extends CoreTestCase
{
    private const START = '2027-03-01';

    private static function plan(string $oil, SteepMethod $method, Way $way = new Way()): SteepPlan
    {
        $start = new DateTimeImmutable(self::START);

        return SteepPlan::begun(
            Charge::of(
                new Herb(self::catalogue()->get('rosemary'), 'dried', 40, $start),
                new Pour(self::catalogue()->get($oil), 280, $start),
            ),
            $method,
            $way,
        );
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     */
    private static function moved(int $day, array $said, array $more = [], ?DateTimeImmutable $end = null): SteepPlan
    {
        $document = new SteepDocument(
            [
                'herbs' => [['ingredient' => 'calendula', 'form' => 'dried', 'grams' => 40]],
                'oils' => [['ingredient' => 'olive-oil', 'grams' => 300]],
                'method' => 'cold-dark',
                ...$more,
            ],
            new DateTimeImmutable(self::START),
        );
        $on = (new DateTimeImmutable(self::START))->modify("+$day days");

        return $document->plan(self::catalogue(), [new Entry(EntryKind::Moved, $on, $said)], strained: $end);
    }

    /** @return iterable<string, array{string, float}> */
    public static function times(): iterable
    {
        yield 'five minutes' => ['5 minutes', 5.0];
        yield 'a bare figure' => ['30', 30.0];
        yield 'a range counts as its middle' => ['45 to 60', 52.5];
        yield 'hours in words' => ['two hours', 120.0];
    }

    #[DataProvider('times')]
    public function test_the_time_that_is_written_is_the_time_that_counts(string $written, float $minutes): void
    {
        $said = SteepDraft::held(['method' => 'water-bath', 'celsius' => 70, 'minutes' => 0, 'held_for' => $written]);
        self::assertSame($minutes, $said['minutes']);

        // At 70 °C an hour costs 2^5 hours of age.
        $plan = self::plan('olive-oil', SteepMethod::WaterBath, new Way(celsius: 70.0, minutes: $minutes));
        self::assertEqualsWithDelta($minutes * 32 / 1440, $plan->ageing->spentDays()->best, 1e-9);
    }

    public function test_what_cannot_be_read_or_held_is_refused_by_its_field(): void
    {
        try {
            SteepDraft::held(['method' => 'water-bath', 'held_for' => 'a while']);
            self::fail('no time');
        } catch (MeasureError $e) {
            self::assertSame('held_for', $e->path);
        }
        $this->expectException(SteepError::class);
        $this->expectExceptionMessage('0 to 40 °C for "cold and dark"');
        SteepDraft::held(['method' => 'cold-dark', 'celsius' => 60]);
    }

    public function test_a_cupboard_at_thirty_draws_twice_as_fast_and_ages_twice_as_fast(): void
    {
        $cold = self::plan('olive-oil', SteepMethod::ColdDark);
        $warm = self::plan('olive-oil', SteepMethod::ColdDark, new Way(celsius: 30.0));

        self::assertEqualsWithDelta(2 * $cold->ageing->spentDays()->best, $warm->ageing->spentDays()->best, 1e-9);
        self::assertGreaterThan($cold->extraction->atStraining()->best, $warm->extraction->atStraining()->best);
    }

    public function test_the_table_shows_the_chosen_way_as_it_is_held_and_the_others_as_they_are_usual(): void
    {
        $plan = self::plan('olive-oil', SteepMethod::WaterBath, new Way(celsius: 60.0, minutes: 120.0));
        $rows = MethodTable::for($plan, new DateTimeImmutable(self::START), null)->jsonSerialize()['rows'];
        $by = array_column($rows, null, 'method');

        self::assertSame([60.0, 120.0], [$by['water-bath']['celsius'], $by['water-bath']['minutes']]);
        self::assertSame([90.0, 10.0], [$by['direct-heat']['celsius'], $by['direct-heat']['minutes']]);
    }

    public function test_moved_with_a_length_it_is_strained_so_many_days_after(): void
    {
        $plan = self::moved(10, ['method' => 'sunny-sill', 'days' => 7]);
        self::assertSame('2027-03-18', $plan->timeline->strainDay()->format('Y-m-d'));
        self::assertSame(17, $plan->timeline->standsDays());
    }

    public function test_moved_without_a_length_it_stands_as_was_planned_from_the_start(): void
    {
        $planned = self::moved(10, ['method' => 'sunny-sill'], ['days' => 40]);
        self::assertSame(40, $planned->timeline->standsDays());
        self::assertSame(35, self::moved(10, ['method' => 'sunny-sill'])->timeline->standsDays(), 'as the sill has it');
        $late = self::moved(50, ['method' => 'sunny-sill']);
        self::assertSame(50, $late->timeline->standsDays(), 'never before it was moved');
    }

    public function test_heated_it_is_strained_on_the_day_after_with_its_own_heat_and_time(): void
    {
        $plan = self::moved(10, ['method' => 'water-bath', 'celsius' => 60, 'minutes' => 120]);
        self::assertSame(11, $plan->timeline->standsDays());
        self::assertSame([60.0, 120.0], [$plan->timeline->heldAt(), $plan->timeline->heldMinutes()]);
        // Ten days at 20 °C, and two hours at 60: 2 x 16 hours.
        self::assertEqualsWithDelta(10 + 32 / 24, $plan->ageing->spentDays()->best, 1e-9);
    }

    public function test_what_was_strained_stood_as_long_as_it_truly_stood(): void
    {
        $end = new DateTimeImmutable('2027-03-15');
        $plan = self::moved(10, ['method' => 'sunny-sill', 'days' => 30], end: $end);
        self::assertSame(14, $plan->timeline->standsDays());
    }

    public function test_a_move_says_where_to_how_warm_and_how_long(): void
    {
        $said = static fn (array $data): string => (new Entry(
            EntryKind::Moved,
            new DateTimeImmutable(self::START),
            $data,
        ))->words(self::catalogue());

        self::assertSame('Moved: sunny sill.', $said(['method' => 'sunny-sill']));
        self::assertSame(
            'Moved: cold and dark, 30 °C, 14 days.',
            $said(['method' => 'cold-dark', 'celsius' => 30, 'days' => 14]),
        );
        self::assertSame(
            'Moved: water bath, 70 °C, 30 minutes.',
            $said(['method' => 'water-bath', 'celsius' => 70, 'minutes' => 30]),
        );
    }

    public function test_a_butter_draws_melted_and_hardly_set(): void
    {
        $set = self::plan('cocoa-butter', SteepMethod::ColdDark);
        $melted = self::plan('cocoa-butter', SteepMethod::WaterBath);

        // 76 % of it is solid at 20 °C; at 70 °C nothing is.
        $liquid = self::plan('olive-oil', SteepMethod::ColdDark)->extraction->atStraining()->best;
        self::assertEqualsWithDelta(
            100 * (1 - (1 - $liquid / 100) ** 0.24),
            $set->extraction->atStraining()->best,
            1e-6,
        );
        self::assertContains('steep.sets', self::codesOf($set));
        self::assertNotContains('steep.sets', self::codesOf($melted));
        self::assertEqualsWithDelta(
            self::plan('olive-oil', SteepMethod::WaterBath)->extraction->atStraining()->best,
            $melted->extraction->atStraining()->best,
            1e-9,
        );
        self::assertSame(
            SteepMethod::WaterBath,
            MethodTable::for($set, new DateTimeImmutable(self::START), null)->recommended()->method,
        );
    }

    public function test_forty_plants_stand_in_one_jar(): void
    {
        $start = new DateTimeImmutable(self::START);
        $herbs = array_fill(0, 40, new Herb(self::catalogue()->get('nettle'), 'dried', 2, $start));
        $charge = new Charge($herbs, [new Pour(self::catalogue()->get('olive-oil'), 560, $start)]);

        self::assertSame([80.0, 7.0], [$charge->plantGrams(), $charge->ratio()]);
    }

    /** @return list<string> */
    private static function codesOf(SteepPlan $plan): array
    {
        return array_map(static fn (SteepAdvice $a): string => $a->code, SteepAdvice::on($plan, []));
    }
}
