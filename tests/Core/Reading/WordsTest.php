<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Catalogue\ScentAllergens;
use Crown\Reading\Internal\Abroad;
use Crown\Reading\Internal\Items;
use Crown\Reading\Internal\Lexicon;
use Crown\Reading\Internal\Names;
use Crown\Reading\Internal\Plain;
use Crown\Reading\Internal\Row;
use Crown\Reading\Internal\Sentences;
use Crown\Reading\Internal\Unitless;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** The smallest stages of the reader: sentences, figures without a unit, numbers as they are said, names abroad. */
final class WordsTest extends CoreTestCase
{
    /** @return iterable<string, array{list<string>, string, bool}> */
    public static function unitless(): iterable
    {
        yield 'two are no list' => [['shea 60', 'mango 40'], '', false];
        yield 'a hundred' => [['shea 60', 'mango 30', 'argan 10'], '%', false];
        yield 'a hundred and one' => [['shea 60', 'mango 30', 'argan 11'], '%', false];
        yield 'a hundred and two' => [['shea 60', 'mango 30', 'argan 12'], 'parts', true];
        yield 'a hundred beside a measure' => [['shea 60', 'mango 30', 'argan 10', '5 ml castor oil'], '', false];
        yield 'a sum that fits' => [['shea 212', 'mango 61', 'almond 40', 'total 313 g'], 'g', false];
        yield 'within three in a hundred' => [['shea 212', 'mango 61', 'almond 40', 'total 304 g'], 'g', false];
        yield 'a sum that does not' => [['shea 212', 'mango 61', 'almond 40', 'total 303 g'], 'parts', true];
        yield 'what the text says' => [['all in grams', 'shea 60', 'mango 30', 'argan 10'], 'grams', false];
        yield 'said once, in grams' => [['wax 18 g', 'shea 30', 'castor 40', 'almond 50'], 'g', true];
        yield 'pieces are counted' => [['2 eggs', '1 avocado', '3 bananas'], '', false];
        yield 'twelve of each' => [['12 shea', '12 mango', '12 argan'], 'parts', true];
    }

    /** @param  list<string>  $rows */
    #[DataProvider('unitless')]
    public function test_the_unit_of_figures_that_have_none(array $rows, string $unit, bool $guessed): void
    {
        $read = Unitless::in($rows);

        self::assertSame([$unit, $guessed], [$read->unit, $read->guessed]);
        self::assertSame($guessed, $read->guesses($rows[1]));
    }

    /** @return iterable<string, array{string, list<array{string, string}>}> */
    public static function inOneRow(): iterable
    {
        $three = [['beeswax', '30 %'], ['cocoa', '50 %'], ['castor', '20 %']];
        yield 'a hundred' => ['beeswax 30 / cocoa 50 / castor 20.', $three];
        yield 'no hundred' => ['beeswax 3, cocoa 5, castor 2', [
            ['beeswax', '3 parts'],
            ['cocoa', '5 parts'],
            ['castor', '2 parts'],
        ]];
        yield 'said at the end' => ['beeswax 3, cocoa 5, castor 2 (g)', [
            ['beeswax', '3 g'],
            ['cocoa', '5 g'],
            ['castor', '2 g'],
        ]];
        yield 'said once' => ['beeswax 18 %, cocoa 22, castor 35', [
            ['beeswax', '18 %'],
            ['cocoa', '22 %'],
            ['castor', '35 %'],
        ]];
        yield 'a name that is none' => ['beeswax 30, nonsense 50, castor 20', []];
        yield 'two' => ['beeswax 30, castor 20', []];
    }

    /** @param  list<array{string, string}>  $found */
    #[DataProvider('inOneRow')]
    public function test_a_list_in_one_row(string $row, array $found): void
    {
        self::assertSame($found, Unitless::apart($row, static fn (string $name): bool => $name !== 'nonsense'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function said(): iterable
    {
        $long = ' and that is what goes in there first of all, dear';
        yield 'as people say it' => ['one sixty grams of shea'.$long, '160 g'];
        yield 'one hundred and sixty' => ['one hundred and sixty grams of shea'.$long, '160 g'];
        yield 'the same unit again' => ['a hundred mils of grapeseed then forty of castor'.$long, '40 ml of castor'];
        yield 'after its name' => ['twenty mils of rosehip, squalane seventy, and so on'.$long, 'squalane 70 ml'];
        yield 'four is too few to be meant' => ['twenty mils of rosehip then four of those'.$long, 'four of those'];
        yield 'two drops are not' => ['four drops of peppermint and two of rosemary'.$long, '2 drops of rosemary'];
        yield 'a time is none' => ['twenty mils of rosehip and let it sit for twenty, then'.$long, 'for twenty'];
        yield 'a quarter cup' => ['take a half cup of this, quarter cup of mango'.$long, '0.25 cup of mango'];
        yield 'heaped' => ['two heaped tablespoons of hemp'.$long, '2 heaped tbsp of hemp'];
        yield 'and a half' => ['one and a half teaspoons of hemp'.$long, '1.5 tsp of hemp'];
        yield 'a third of a cup' => ['a third of a cup of hemp'.$long, '0.333 cup of hemp'];
        yield 'half a part on a list' => ['rosehip half a part', 'rosehip 0.5 part'];
        yield 'a slip of the pen' => ['10 drps rosemary', '10 drops rosemary'];
        yield 'as it was written' => ['10 gtt rosemary', '10 gtt rosemary'];
    }

    #[DataProvider('said')]
    public function test_numbers_as_they_are_said(string $row, string $plain): void
    {
        self::assertStringContainsString($plain, (new Plain(Lexicon::of($row)))->row($row));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function breaths(): iterable
    {
        yield 'before a colon' => ['Makes 2 jars: 50 g shea, 20 g argan', ['Makes 2 jars:', '50 g shea, 20 g argan']];
        yield 'sentences' => ['50 g shea and 20 g argan. Whip it.', ['50 g shea and 20 g argan.', 'Whip it.']];
        yield 'a unit with a full stop' => ['2 tbsp. shea, 1 oz. argan', ['2 tbsp. shea, 1 oz. argan']];
        yield 'what is taken back' => ['50 g shea, 20 g argan. No, 30 g.', ['50 g shea, 20 g argan. No, 30 g.']];
        yield 'one thing' => ['Balm: 50 g shea', ['Balm: 50 g shea']];
        yield 'a heading in its row' => ['Method: melt the shea', ['Method:', 'melt the shea']];
        yield 'before a dash' => ['Scrub - 1 cup sugar, 2 tbsp honey', ['Scrub -', '1 cup sugar, 2 tbsp honey']];
        yield 'a name before a dash' => ['Shea - 50 g, argan - 20 g', ['Shea - 50 g, argan - 20 g']];
    }

    /** @param  list<string>  $pieces */
    #[DataProvider('breaths')]
    public function test_what_is_told_in_one_breath_is_taken_apart(string $row, array $pieces): void
    {
        $sentences = new Sentences(new Plain(Lexicon::of($row)), new Items(new Names(self::catalogue())));

        $apart = $sentences->apart([new Row($row, 0)]);

        self::assertSame($pieces, array_map(static fn (Row $r): string => $r->text, $apart));
    }

    /** @return iterable<string, array{string, string}> */
    public static function abroad(): iterable
    {
        yield 'French' => ['huile de babassu', 'babassu-oil'];
        yield 'Spanish' => ['aceite virgen de baobab', 'baobab-oil'];
        yield 'Portuguese' => ['óleo de marula', 'marula-oil'];
        yield 'Italian' => ['olio di babassu', 'babassu-oil'];
        yield 'German' => ['kaltgepresstes Babassuöl', 'babassu-oil'];
        yield 'Dutch' => ['marulaolie', 'marula-oil'];
        yield 'an essential oil' => ['ätherisches Rosmarinöl', 'rosemary-eo'];
        yield 'its abbreviation' => ['HE de romarin', 'rosemary-eo'];
        yield 'a wax' => ['cire de carnauba', 'carnauba-wax'];
        yield 'a leaf' => ['getrocknete Brennnesselblätter', 'nettle'];
    }

    #[DataProvider('abroad')]
    public function test_what_other_languages_build_as_english_does(string $name, string $id): void
    {
        $found = (new Names(self::catalogue()))->matching($name);

        self::assertSame($id, $found[0]->ingredient->id);
        self::assertGreaterThan(0.85, $found[0]->score);
    }

    public function test_no_oil_is_a_plant_and_no_name_is_sure_by_the_words_of_its_kind(): void
    {
        $names = new Names(self::catalogue());
        foreach (['Klettenwurzelöl', 'Brennnesselöl', 'huile de prêle'] as $oil) {
            foreach ($names->matching($oil) as $match) {
                self::assertFalse($match->ingredient->kind->isPlant(), $oil);
            }
        }
        self::assertLessThan(0.85, $names->matching('aceite esencial de zzzzz')[0]->score ?? 0.0);
        self::assertSame([], Abroad::english('castor oil'));
    }

    public function test_scent_allergens_are_told_by_the_names_of_the_law(): void
    {
        foreach (['Linalool', 'limonene*', 'CINNAMAL', 'Geraniol.'] as $name) {
            self::assertTrue(ScentAllergens::has($name), $name);
        }
        foreach (['Menthol', 'Camphor', 'Tocopherol', ''] as $name) {
            self::assertFalse(ScentAllergens::has($name), $name);
        }
    }
}
