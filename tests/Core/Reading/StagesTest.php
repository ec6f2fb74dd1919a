<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Measure\Kitchen;
use Crown\Reading\Internal\Row;
use Crown\Reading\Internal\Tables;
use Crown\Reading\ReadingError;
use Crown\Reading\RecipeReader;
use Crown\Reading\Source;
use Crown\Reading\Span;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Each stage of the reader alone. */
final class StagesTest extends CoreTestCase
{
    /** @param  list<string>  $rows */
    #[DataProvider('sources')]
    public function test_a_source_is_rows_of_text(string $text, array $rows): void
    {
        self::assertSame($rows, Source::of($text)->rows);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function sources(): iterable
    {
        yield 'rows of Windows and empty ones' => ["Oil\r\n\r\n  2 tbsp castor \r\n", ['Oil', '2 tbsp castor']];
        yield 'a page' => ['<ul><li>100&nbsp;g <b>shea</b></li><li>½ cup oil &amp; love</li></ul>', [
            '100 g shea',
            '½ cup oil & love',
        ]];
        yield 'a table of a page' => ['<table><tr><td>Shea</td><td>100 g</td></tr></table>', ["Shea\t100 g"]];
        yield 'a quoted letter' => ["> > 2 tbsp castor\n> 1 cup olive", ['2 tbsp castor', '1 cup olive']];
        yield 'hidden signs' => ["2\u{200b} tbsp\u{00a0}castor\u{feff}", ['2 tbsp castor']];
        yield 'smaller than is no page' => ['use < 5 drops', ['use < 5 drops']];
    }

    public function test_what_is_no_text_is_refused(): void
    {
        foreach (["\xff\xfe", '', "\u{200b} \n", str_repeat('a', 60_001), str_repeat("a\n", 601)] as $text) {
            try {
                Source::of($text);
                self::fail('It was taken.');
            } catch (ReadingError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function test_the_longest_text_is_still_taken_whole(): void
    {
        self::assertCount(600, Source::of(str_repeat("a\n", 600))->rows);
    }

    /**
     * @param  list<string>  $rows
     * @param  list<string>  $listed
     */
    #[DataProvider('tables')]
    public function test_a_table_becomes_a_list(array $rows, array $listed): void
    {
        self::assertSame($listed, array_map(static fn (Row $r): string => $r->text, Tables::listed($rows)));
    }

    /** @return iterable<string, array{list<string>, list<string>}> */
    public static function tables(): iterable
    {
        yield 'a unit in the header' => [['| Ingredient | g |', '|---|---|', '| Shea | 100 |'], ['100 g Shea']];
        yield 'a unit in brackets' => [["Item\tAmount (ml)", "Castor oil\t30"], ['30 ml Castor oil']];
        yield 'a unit in its own column' => [["Name\tAmount\tUnit", "Shea\t4\toz"], ['4 oz Shea']];
        yield 'a price' => [['Ingredient;Amount;Price', 'Shea;100 g;4,50'], ['100 g Shea']];
        yield 'a mass beside a share' => [['ingredient,g,%', 'Shea,75,75'], ['75 g Shea']];
        yield 'a note' => [['| Ingredient | Amount | Why |', '| Shea | 100 g | soft |'], ['100 g Shea, soft']];
        yield 'no table' => [['Shea 100 g ($4.50)'], ['Shea 100 g']];
        yield 'a list with commas' => [['Shea, cocoa, mango'], ['Shea, cocoa, mango']];
    }

    /** @param  list<string>  $spans fate, number and words */
    #[DataProvider('spans')]
    public function test_words_of_the_text_have_their_fates(string $text, array $spans): void
    {
        $read = (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);

        self::assertSame($spans, array_map(
            static fn (Span $s): string => trim($s->fate->value.' '.($s->of ?? 0).': ')
                .' '.mb_substr($text, $s->start, $s->end - $s->start),
            $read->spans,
        ));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function spans(): iterable
    {
        yield 'a list' => ["Night oil\r\n\r\n- 2 tbsp castor oil\nNo glycerine\nMakes 30 g\nStir well", [
            'title 0: Night oil',
            'amount 1: 2 tbsp',
            'name 1: castor oil',
            'negated 0: No glycerine',
            'yield 0: Makes 30 g',
            'step 1: Stir well',
        ]];
        yield 'signs before it' => ["Oil 🌿\n“½ cup” olive oil and 2 g vitamin e", [
            'title 0: Oil',
            'amount 1: ½ cup',
            'name 1: olive oil',
            'amount 2: 2 g',
            'name 2: vitamin e',
        ]];
        yield 'figures of nothing' => ["Oil\nIn week 12 it was 30 g castor oil and 20 g olive oil on a 3c head.", [
            'title 0: Oil',
            'remark 0: In week 12 it was',
            'amount 1: 30 g',
            'name 1: castor oil',
            'amount 2: 20 g',
            'name 2: olive oil',
            'unplaced 0: 3',
            'remark 0: c head',
        ]];
        yield 'either, or neither' => [<<<'TXT'
            Oil
            2 tbsp almond or jojoba oil
            9 g dried nettle, if you have it
            never glycerin
            TXT, [
            'title 0: Oil',
            'amount 1: 2 tbsp',
            'name 1: almond',
            'alternative 1: jojoba oil',
            'amount 2: 9 g',
            'form 2: dried',
            'name 2: nettle',
            'alternative 2: if you have it',
            'negated 0: never glycerin',
        ]];
        yield 'times and heats' => ["Oil\n2 x 113 g tubs of shea butter\nMelt at 75 C for 10 minutes. Then chill it.", [
            'title 0: Oil',
            'amount 1: 2 x 113 g tubs of',
            'name 1: shea butter',
            'step 1: Melt at',
            'temperature 1: 75 C',
            'step 1: for',
            'time 1: 10 minutes',
            'step 2: Then chill it',
        ]];
        yield 'another language' => ["Öl\n60 g Sheabutter\n10 Minuten bei 70 Grad schmelzen", [
            'title 0: Öl',
            'amount 1: 60 g',
            'name 1: Sheabutter',
            'time 1: 10 Minuten',
            'step 1: bei',
            'temperature 1: 70 Grad',
            'step 1: schmelzen',
        ]];
        yield 'whom it is for, and how long' => ["Oil for my 5 yr old\n30 g olive oil\nKeeps 6 months, stir it", [
            'title 0: Oil for my',
            'audience 0: 5 yr old',
            'amount 1: 30 g',
            'name 1: olive oil',
            'yield 0: Keeps 6 months',
            'step 1: stir it',
        ]];
        yield 'a page' => ['<p>Oil</p><p>30 g castor oil</p>', [
            'title 0: Oil',
            'amount 1: 30 g',
            'name 1: castor oil',
        ]];
    }

    public function test_no_more_lines_are_read_than_a_formula_holds(): void
    {
        $this->expectException(ReadingError::class);
        (new RecipeReader(self::catalogue(), new Kitchen()))->read(
            implode("\n", array_map(static fn (int $n): string => "$n g shea butter", range(1, 301))),
        );
    }
}
