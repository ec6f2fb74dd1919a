<?php

declare(strict_types=1);

namespace Tests\Core\Pantry;

use Crown\Assessment\Composition;
use Crown\Measure\Kitchen;
use Crown\Measure\Place;
use Crown\Pantry\Held;
use Crown\Pantry\JarCost;
use Crown\Pantry\LotReader;
use Crown\Pantry\OpenedLife;
use Crown\Pantry\OrderPlan;
use Crown\Pantry\Pack;
use Crown\Pantry\PantryError;
use Crown\Pantry\Shopping;
use Crown\Pantry\Taking;
use Crown\Pantry\Trace;
use Crown\Pantry\UseUp;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** What holds at the very edge, and to which digit it is said. */
final class PantryEdgesTest extends CoreTestCase
{
    /** @return list<array<string, mixed>> */
    private static function read(string $text): array
    {
        $reader = new LotReader(
            self::catalogue(),
            new Kitchen(),
            Place::usual(),
            new DateTimeImmutable('2026-11-27'),
        );

        return array_map(static fn ($d): array => $d->jsonSerialize(), $reader->read($text));
    }

    public function test_one_jar_is_enough_and_none_is_not(): void
    {
        self::assertSame(3.0, (new JarCost([], 1, 3.0))->perJar());
        $this->expectException(PantryError::class);
        new JarCost([], 0);
    }

    public function test_the_largest_margin_is_95_per_cent(): void
    {
        self::assertEqualsWithDelta(60.0, (new JarCost([], 1, 3.0, margin: 95.0))->price(), 1e-9);
        $this->expectException(PantryError::class);
        new JarCost([], 1, margin: 95.01);
    }

    /** A third of 10 is 3.3333; 10 % more of 10 over three jars is 0.3333. */
    public function test_money_is_said_to_four_digits(): void
    {
        $said = (new JarCost([['name' => 'Shea', 'grams' => 1.23456, 'money' => 10.0, 'from' => 'lots']], 3))
            ->jsonSerialize();

        self::assertSame([3.3333, 3.3333, 10.0], [$said['per_jar'], $said['price'], $said['known']]);
        self::assertSame([1.23, 10.0, 0.3333], [
            $said['materials'][0]['grams'],
            $said['materials'][0]['money'],
            $said['materials'][0]['more_a_jar'],
        ]);
    }

    /** Two jars of 730 in 730 days are one a year: 365 days less two; one more is beyond the year. */
    public function test_what_lasts_a_year_has_a_day_and_what_lasts_longer_has_none(): void
    {
        $today = new DateTimeImmutable('2027-01-01');
        self::assertEquals(
            $today->modify('+365 days'),
            OrderPlan::makeAgainBy(367, 100, 100, $today),
        );
        self::assertNull(OrderPlan::makeAgainBy(368, 100, 100, $today));
        self::assertEquals($today, OrderPlan::makeAgainBy(1, 100, 100, $today), 'at once, never in the past');
    }

    public function test_what_is_as_good_as_nothing_is_not_taken_and_just_more_is(): void
    {
        $takes = static fn (float $left, float $grams): array => array_map(
            static fn ($t): float => $t->grams,
            Taking::of([new Held(1, $left, '2027-01-01'), new Held(2, 100.0)], $grams)->takes,
        );
        self::assertSame([0.005, 9.995], $takes(0.005, 10.0));
        self::assertSame([10.0], $takes(0.0049, 10.0));
        self::assertSame([0.005], $takes(50.0, 0.005));
        self::assertSame([], $takes(50.0, 0.0049));
    }

    /** Given in the wrong order, a chain of four wants three rounds. */
    public function test_a_long_chain_stands_in_as_many_columns(): void
    {
        $edge = static fn (string $from, string $to): array => ['from' => $from, 'to' => $to, 'grams' => 1.0];
        $nodes = ['a' => [], 'b' => [], 'c' => [], 'd' => []];
        $trace = Trace::of($nodes, [$edge('c', 'd'), $edge('b', 'c'), $edge('a', 'b')]);

        self::assertSame(['a' => 0, 'b' => 1, 'c' => 2, 'd' => 3], $trace->columns);
    }

    public function test_carriage_on_what_has_no_price_is_borne_by_nothing(): void
    {
        $lots = self::read("250 g shea butter\n100 g cocoa butter\ncarriage 4.00");
        self::assertSame([null, null], array_slice(array_column($lots, 'cost'), 0, 2));
        $priced = self::read("250 g shea butter, 10\n100 g cocoa butter, 30\ncarriage 4.00");
        self::assertSame([11.0, 33.0], array_slice(array_column($priced, 'cost'), 0, 2));
    }

    public function test_an_empty_weight_in_kilograms_is_grams(): void
    {
        self::assertSame(200.0, self::read('250 g shea butter, tare 0.2 kg')[0]['tare_grams']);
    }

    /** 100 ml at 0.9123 would be 91.23; a third of a pound is 151.197 g, said as 151.2. */
    public function test_grams_are_said_to_the_hundredth(): void
    {
        self::assertSame(151.2, self::read('1/3 lb shea butter')[0]['grams']);
        self::assertSame(28.35, self::read('1 oz shea butter')[0]['grams']);
    }

    public function test_the_others_are_not_the_first_again(): void
    {
        $lot = self::read('100 g almond oil')[0];
        self::assertNotSame('', $lot['ingredient']);
        self::assertNotContains($lot['ingredient'], array_column($lot['others'], 'id'));
        self::assertLessThanOrEqual(4, count($lot['others']));
    }

    public function test_what_is_not_short_or_not_known_is_not_bought(): void
    {
        $packs = ['olive-oil' => [new Pack(500.0, 5.0)]];
        $of = static fn (?float $there): array => Shopping::of(
            [Composition::of(self::formula(['olive-oil' => '100 g']), self::context())],
            ['olive-oil' => $there],
            $packs,
        )->rows()[0]->buy;

        self::assertSame([], $of(100.0), 'just enough');
        self::assertSame([], $of(null), 'nobody counted it');
        self::assertCount(1, $of(99.0));
    }

    /** 60 of 90 g are 66.666… %. */
    public function test_a_share_is_said_to_the_hundredth(): void
    {
        $use = UseUp::of(
            Composition::of(self::formula(['olive-oil' => '60 g', 'castor-oil' => '30 g']), self::context()),
            'olive-oil',
            300.0,
            ['olive-oil' => 300.0, 'castor-oil' => 149.96],
        );

        self::assertSame(66.67, $use?->jsonSerialize()['share_percent']);
        self::assertSame([], $use->short, 'less than a twentieth of a gram is not short');
    }

    public function test_how_long_an_opened_jar_keeps_is_read_from_its_label(): void
    {
        self::assertSame(7, OpenedLife::days('7 days'));
        self::assertSame(182, OpenedLife::days('6 M'));
        self::assertNull(OpenedLife::days(''));
        self::assertNull(OpenedLife::days('soon'));
    }
}
