<?php

declare(strict_types=1);

namespace Tests\Core\Pantry;

use Crown\Measure\Kitchen;
use Crown\Measure\Place;
use Crown\Pantry\LotReader;
use Crown\Pantry\PantryError;
use Crown\Pantry\WrittenDate;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What was bought, as it is typed in one line or stands on a bill. */
final class LotReaderTest extends CoreTestCase
{
    private static function today(): DateTimeImmutable
    {
        return new DateTimeImmutable('2026-11-27');
    }

    /** @return list<array<string, mixed>> */
    private static function read(string $text): array
    {
        $reader = new LotReader(self::catalogue(), new Kitchen(), Place::usual(), self::today());

        return array_map(static fn ($d): array => $d->jsonSerialize(), $reader->read($text));
    }

    /** 250 ml of castor oil at 0.958 g/ml are 239.5 g. */
    public function test_one_line_says_all_there_is_to_say(): void
    {
        $lot = self::read('250 ml castor, 6.90, best before 3/28, opened today, fridge, from the market, lot A-17')[0];
        self::assertSame(
            ['castor-oil', 239.5, 6.9, '2028-03-31', '2026-11-27', 'Fridge', 'the market', 'A-17'],
            [
                $lot['ingredient'], $lot['grams'], $lot['cost'], $lot['printed_on'], $lot['opened_on'], $lot['place'],
                $lot['supplier'], $lot['batch_number'],
            ],
        );
        self::assertSame([], (array) $lot['doubts']);
        self::assertSame('2026-11-27', $lot['bought_on']);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function lines(): iterable
    {
        yield 'a price with its sign before' => [
            '1 kg shea butter, £14.50, bb 30.06.2027',
            ['ingredient' => 'shea-butter', 'grams' => 1000.0, 'cost' => 14.5, 'currency' => 'GBP',
                'printed_on' => '2027-06-30'],
        ];
        yield 'German decimals and dates' => [
            '500 g Sheabutter, 12,90 €, MHD 06/2027, Charge A123',
            ['grams' => 500.0, 'cost' => 12.9, 'currency' => 'EUR', 'printed_on' => '2027-06-30',
                'batch_number' => 'A123'],
        ];
        yield 'two bottles on one line of a bill' => [
            '2 x 100 ml jojoba oil   13.80',
            ['count' => 2, 'ingredient' => 'jojoba-oil', 'cost' => 6.9],
        ];
        yield 'the amount behind the name' => ['Argan oil 50ml 9.95', ['ingredient' => 'argan-oil', 'cost' => 9.95]];
        yield 'columns of a bill' => [
            "Beeswax\t200 g\t4.00",
            ['ingredient' => 'beeswax', 'grams' => 200.0, 'cost' => 4.0],
        ];
        yield 'a whole price' => ['coconut oil 1,5 l, 20', ['cost' => 20.0, 'grams' => 1380.0]];
        yield 'a note and a tare' => [
            'lavender essential oil 10 ml, a gift, tare 21.5 g, opened 2026-11-02, bought yesterday',
            ['note' => 'a gift', 'tare_grams' => 21.5, 'opened_on' => '2026-11-02', 'bought_on' => '2026-11-26',
                'cost' => null],
        ];
        yield 'nothing that is known' => ['zzxy 3 g, 1.00', ['ingredient' => '', 'name' => 'zzxy', 'cost' => 1.0]];
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('lines')]
    public function test_lines_as_they_are_written(string $line, array $said): void
    {
        $lot = self::read($line)[0];
        self::assertEquals($said, array_intersect_key($lot, $said));
    }

    public function test_what_cannot_be_read_is_asked_about(): void
    {
        $doubts = (array) self::read('zzxy, best before the flood')[0]['doubts'];
        self::assertSame(['printed_on', 'ingredient', 'grams'], array_keys($doubts));
        self::assertSame('"the flood" is no date that can be read.', $doubts['printed_on']);
    }

    /** Carriage of 4 on 10 and 30: 1 and 3. */
    public function test_a_bill_shares_its_carriage_and_leaves_its_sums_aside(): void
    {
        $lots = self::read(
            "- olive oil 1 l 10.00\n• shea butter 500 g 30.00\nSubtotal 40.00\nShipping 4.00\nVAT 7.33\nTotal 44.00",
        );
        self::assertSame([11.0, 33.0], array_column($lots, 'cost'));
        $two = self::read("2 x olive oil 1 l 8.00\nPostage 1.00");
        self::assertSame([2, 4.5], [$two[0]['count'], $two[0]['cost']]);
    }

    public function test_more_lines_than_a_bill_has_are_refused(): void
    {
        $this->expectException(PantryError::class);
        self::read(str_repeat("1 g olive oil\n", 201));
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function dates(): iterable
    {
        yield 'month and year' => ['3/28', '2028-03-31'];
        yield 'February of a leap year' => ['02.2028', '2028-02-29'];
        yield 'day first' => ['31/03/28', '2028-03-31'];
        yield 'with dots' => ['1.3.2028', '2028-03-01'];
        yield 'international' => ['2028-03-01', '2028-03-01'];
        yield 'international month' => ['2028-03', '2028-03-31'];
        yield 'a word' => ['March 2028', '2028-03-31'];
        yield 'a day and a word' => ['1 Mar 28', '2028-03-01'];
        yield 'a word and a day' => ['March 1, 2028', '2028-03-01'];
        yield 'German' => ['Okt 2027', '2027-10-31'];
        yield 'yesterday' => ['yesterday', '2026-11-26'];
        yield 'no month' => ['13/28', null];
        yield 'no day' => ['31.02.2028', null];
        yield 'no word' => ['Foo 2028', null];
        yield 'nothing' => ['', null];
    }

    #[DataProvider('dates')]
    public function test_dates_as_they_are_written(string $written, ?string $day): void
    {
        self::assertSame($day, WrittenDate::read($written, self::today())?->format('Y-m-d'));
    }

    public function test_where_the_month_stands_first_only_strokes_are_turned(): void
    {
        $read = static fn (string $d): ?string => WrittenDate::read($d, self::today(), true)?->format('Y-m-d');
        self::assertSame('2028-03-04', $read('3/4/28'));
        self::assertSame('2028-04-03', $read('3.4.28'));
    }
}
