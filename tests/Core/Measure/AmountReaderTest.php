<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;
use Crown\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AmountReaderTest extends TestCase
{
    /** @return iterable<string, array{string, Unit, float, float, float}> */
    public static function amounts(): iterable
    {
        yield 'plain grams' => ['20 g', Unit::Gram, 20, 20, 20];
        yield 'no space' => ['20g', Unit::Gram, 20, 20, 20];
        yield 'decimal comma' => ['2,5 ml', Unit::Millilitre, 2.5, 2.5, 2.5];
        yield 'thousands' => ['1,200 g', Unit::Gram, 1200, 1200, 1200];
        yield 'fraction' => ['1/2 cup', Unit::Cup, 0.5, 0.5, 0.5];
        yield 'unicode fraction' => ['½ cup', Unit::Cup, 0.5, 0.5, 0.5];
        yield 'mixed unicode' => ['1½ tsp', Unit::Teaspoon, 1.5, 1.5, 1.5];
        yield 'mixed fraction' => ['1 1/2 tsp', Unit::Teaspoon, 1.5, 1.5, 1.5];
        yield 'range' => ['2-3 drops', Unit::Drop, 2, 2.5, 3];
        yield 'range in words' => ['2 to 4 tablespoons', Unit::Tablespoon, 2, 3, 4];
        yield 'a few' => ['a few drops', Unit::Drop, 2, 3, 5];
        yield 'a word for a number' => ['half a cup', Unit::Cup, 0.5, 0.5, 0.5];
        yield 'capital T' => ['2 T', Unit::Tablespoon, 2, 2, 2];
        yield 'small t' => ['2 t', Unit::Teaspoon, 2, 2, 2];
        yield 'fluid ounces' => ['4 fl oz', Unit::FluidOunce, 4, 4, 4];
        yield 'pounds' => ['1.5 lbs', Unit::Pound, 1.5, 1.5, 1.5];
        yield 'share' => ['18 %', Unit::Percent, 18, 18, 18];
        yield 'parts' => ['3 parts', Unit::Part, 3, 3, 3];
        yield 'pieces' => ['3 leaves', Unit::Piece, 3, 3, 3];
        yield 'the weighed one of two' => ['2 tbsp (28 g)', Unit::Gram, 28, 28, 28];
        yield 'the weighed one after a slash' => ['1 cup / 220 g', Unit::Gram, 220, 220, 220];
    }

    #[DataProvider('amounts')]
    public function test_reads_what_people_write(
        string $text,
        Unit $unit,
        float $low,
        float $best,
        float $high,
    ): void {
        $amount = AmountReader::read($text);

        self::assertSame($unit, $amount->unit);
        self::assertEqualsWithDelta(
            [$low, $best, $high],
            [$amount->count->low, $amount->count->best, $amount->count->high],
            1e-9,
        );
    }

    public function test_the_plainest_are_read_as_all_others_are(): void
    {
        $outcome = static function (callable $read): Amount|string {
            try {
                return $read();
            } catch (MeasureError $e) {
                return $e->getMessage();
            }
        };
        foreach (['20', '0.5', '0', '0.0', '1200', '3.1416', '007', '999999'] as $number) {
            foreach (['g', 'kg', 'ml', 'oz', 'cup', 'cups', 'tbsp', 'tsp', 'drop', 'drops', '%'] as $unit) {
                $text = $number.' '.$unit;
                // A space behind it sends it the long way round.
                self::assertEquals(
                    $outcome(static fn (): Amount => AmountReader::read($text.' ')),
                    $outcome(static fn (): Amount => AmountReader::read($text)),
                    $text,
                );
            }
        }
    }

    public function test_heaped_and_about_are_kept(): void
    {
        $amount = AmountReader::read('about 2 heaped tbsp');

        self::assertTrue($amount->heaped);
        self::assertTrue($amount->about);
        self::assertFalse(AmountReader::read('2 level tbsp')->heaped);
    }

    public function test_sums_keep_both_parts(): void
    {
        $amount = AmountReader::read('1 cup + 2 tbsp');

        self::assertSame(Unit::Cup, $amount->unit);
        self::assertSame(Unit::Tablespoon, $amount->also[0]->unit);
    }

    public function test_capsules_take_their_milligrams(): void
    {
        self::assertSame(500.0, AmountReader::read('3 capsules of 500 mg')->capsuleMilligrams);
    }

    public function test_to_fill_takes_its_target(): void
    {
        self::assertSame(0.0, AmountReader::read('to fill')->count->best);
        self::assertSame(250.0, AmountReader::read('fill up to 250 g')->count->best);
        $texts = ['to make 100 ml', 'up to 100 ml', 'make up to 100 ml', 'enough to make 100 ml', 'top up to 100 ml'];
        foreach ($texts as $text) {
            $amount = AmountReader::read($text);
            self::assertSame(
                [Unit::Fill, 0.0, 100.0],
                [$amount->unit, $amount->count->best, $amount->millilitres],
                $text,
            );
        }
    }

    public function test_measures_that_are_so_many_of_another(): void
    {
        foreach (
            [
                '2.5 dl' => [Unit::Millilitre, 250.0],
                '5 cl' => [Unit::Millilitre, 50.0],
                '2 dessertspoons' => [Unit::Teaspoon, 4.0],
            ] as $text => [$unit, $count]
        ) {
            $amount = AmountReader::read($text);
            self::assertSame([$unit, $count, $text], [$amount->unit, $amount->count->best, $amount->written]);
        }
    }

    public function test_a_cup_and_a_half_is_written_in_many_ways(): void
    {
        foreach (
            [
                'one and a half cups',
                '1 and a half cups',
                '1 and 1/2 cups',
                '1 & 1/2 cup',
                '1 1/2 c.',
                '1.5C',
                '1½ cups',
            ] as $text
        ) {
            $amount = AmountReader::read($text);
            self::assertSame([Unit::Cup, 1.5], [$amount->unit, $amount->count->best], $text);
        }
    }

    /** @return iterable<array{string, string}> */
    public static function nonsense(): iterable
    {
        yield ['', 'could not be read'];
        yield ['banana', 'could not be read'];
        yield ['-3 g', 'negative'];
        yield ['0 g', 'zero'];
        yield ['2000 kg', '1,000 kg'];
        yield ['99999999999999999999 g', '1,000 kg'];
        yield ['3 g of everything', 'could not be read'];
        yield ['<b>3</b> g', 'could not be read'];
        yield ['a handful', 'cannot be told'];
        yield ['2 sticks', 'cannot be told'];
        yield ['about 1 big dollop of', 'cannot be told'];
    }

    #[DataProvider('nonsense')]
    public function test_refuses_nonsense_with_a_sentence(string $text, string $says): void
    {
        $this->expectException(MeasureError::class);
        $this->expectExceptionMessage($says);

        AmountReader::read($text);
    }

    public function test_scaling_writes_the_amount_anew(): void
    {
        self::assertSame('4 tbsp', AmountReader::read('2 tbsp')->scaled(2)->written);
        self::assertSame('4 to 6 drops', AmountReader::read('2-3 drops')->scaled(2)->written);
        self::assertSame('18 %', AmountReader::read('18 %')->scaled(2)->written);
    }

    public function test_a_bottle_weighed_full_and_empty_is_what_was_in_it(): void
    {
        foreach (['412 - 180 g', '412 g - 180 g', '412 g less 180 g', '412g minus 180g'] as $written) {
            $amount = AmountReader::read($written);
            self::assertSame([232.0, Unit::Gram], [$amount->count->best, $amount->unit], $written);
            self::assertTrue($amount->count->isExact());
        }
        // The smaller first is a range.
        self::assertEqualsWithDelta(25.0, AmountReader::read('20 - 30 g')->count->best, 1e-9);
        self::assertEqualsWithDelta(2.5, AmountReader::read('2-3 drops')->count->best, 1e-9);
    }
}
