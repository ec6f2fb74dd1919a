<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Catalogue\ScentAllergens;
use Crown\Measure\Kitchen;
use Crown\Reading\Grammar\Vocabulary;
use Crown\Reading\Internal\Abroad;
use Crown\Reading\Internal\Names;
use Crown\Reading\PlainWords;
use Crown\Reading\ReadLine;
use Crown\Reading\RecipeReader;
use Crown\Reading\Understood;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What words of a text say: figures without a unit, numbers as they are said, sentences, names abroad. */
final class WordsTest extends CoreTestCase
{
    /** @return list<string> what goes in: "?" before what is asked about, the amount and what it is */
    private static function lines(string $text): array
    {
        $read = (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);

        return array_map(
            static fn (ReadLine $l): string => ($l->understood === Understood::Yes ? '' : '? ')
                .trim($l->amount.' '.($l->ingredient() === '' ? $l->name : $l->ingredient())),
            $read->lines,
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function unitless(): iterable
    {
        yield 'a hundred' => [
            "shea 60\ncocoa butter 30\nargan 10",
            ['60 % shea-butter', '30 % cocoa-butter', '10 % argan-oil'],
        ];
        yield 'a hundred and two' => [
            "shea 60\ncocoa butter 30\nargan 12",
            ['60 % shea-butter', '30 % cocoa-butter', '12 % argan-oil'],
        ];
        yield 'a hundred and four' => [
            "shea 60\ncocoa butter 30\nargan 14",
            ['? 60 parts shea-butter', '? 30 parts cocoa-butter', '? 14 parts argan-oil'],
        ];
        yield 'a sum that fits' => [
            "shea 212\ncocoa butter 61\nargan 40\ntotal 304 g",
            ['212 g shea-butter', '61 g cocoa-butter', '40 g argan-oil'],
        ];
        yield 'a sum that does not' => [
            "shea 212\ncocoa butter 61\nargan 40\n= 303 g",
            ['? 212 parts shea-butter', '? 61 parts cocoa-butter', '? 40 parts argan-oil'],
        ];
        yield 'what the text says' => [
            "all in grams\nshea 60\ncocoa butter 30\nargan 15",
            ['60 g shea-butter', '30 g cocoa-butter', '15 g argan-oil'],
        ];
        yield 'pieces are counted' => ["2 eggs\n1 banana\n3 onions", ['2 egg', '1 banana', '3 onion']];
        yield 'twelve of each' => [
            "12 shea\n12 cocoa butter\n12 argan",
            ['? 12 parts shea-butter', '? 12 parts cocoa-butter', '? 12 parts argan-oil'],
        ];
        yield 'in one row' => [
            'beeswax 30 / cocoa 50 / castor 20.',
            ['30 % beeswax', '50 % cocoa-butter', '20 % castor-oil'],
        ];
        yield 'in one row, said at the end' => [
            'beeswax 3, cocoa 5, castor 2 (g)',
            ['3 g beeswax', '5 g cocoa-butter', '2 g castor-oil'],
        ];
        yield 'a name that is none' => [
            "shea 60\nnonsense 30\nargan 10",
            ['60 % shea-butter', '? 30 % nonsense', '10 % argan-oil'],
        ];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('unitless')]
    public function test_the_unit_of_figures_that_have_none(string $text, array $lines): void
    {
        self::assertSame($lines, self::lines($text));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function said(): iterable
    {
        yield 'one hundred and sixty' => ['one hundred and sixty grams of shea', ['160 g shea-butter']];
        yield 'the same unit again' => [
            'a hundred mils of grapeseed then forty of castor',
            ['100 ml grapeseed-oil', '40 ml castor-oil'],
        ];
        yield 'two drops are not' => [
            'four drops of peppermint oil and two of rosemary oil',
            ['4 drops peppermint-eo', '2 drops rosemary-eo'],
        ];
        yield 'a time is none' => ['twenty mils of rosehip and let it sit for twenty minutes', ['20 ml rosehip-oil']];
        yield 'a quarter cup' => ['quarter cup of cocoa butter', ['1/4 cup cocoa-butter']];
        yield 'heaped' => ['two heaped tablespoons of hemp oil', ['2 heaped tbsp hemp-seed-oil']];
        yield 'and a half' => ['one and a half teaspoons of hemp oil', ['1 1/2 tsp hemp-seed-oil']];
        yield 'a third of a cup' => ['a third of a cup of hemp oil', ['1/3 cup hemp-seed-oil']];
        yield 'half a part' => ["castor 1 part\nrosehip half a part", ['1 part castor-oil', '0.5 part rosehip-oil']];
        yield 'a slip of the pen' => ['10 drps rosemary oil', ['10 drops rosemary-eo']];
        yield 'as it was written' => ['10 gtt rosemary oil', ['10 gtt rosemary-eo']];
        yield 'German' => [
            "2 Esslöffel Rizinusöl\n10 Tropfen Lavendelöl",
            ['2 tbsp castor-oil', '10 drops lavender-eo'],
        ];
        yield 'French' => ["2 cuillères à soupe d'huile de ricin pour les cheveux", ['2 tbsp castor-oil']];
        yield 'French, with dots' => ["2 c. à s. d'huile de ricin pour les cheveux", ['2 tbsp castor-oil']];
        yield 'Spanish' => ['dos cucharadas de aceite de ricino para el pelo', ['2 tbsp castor-oil']];
        yield 'the rest in Dutch' => [
            "50 g sheaboter\n100 ml fles\nde rest olijfolie",
            ['50 g shea-butter', 'to make 100 ml olive-oil'],
        ];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('said')]
    public function test_numbers_as_they_are_said(string $text, array $lines): void
    {
        self::assertSame($lines, self::lines($text));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function breaths(): iterable
    {
        yield 'before a colon' => ['Makes 2 jars: 50 g shea, 20 g argan', ['50 g shea-butter', '20 g argan-oil']];
        yield 'a unit with a full stop' => ['2 tbsp. shea, 1 oz. argan', ['2 tbsp shea-butter', '1 oz argan-oil']];
        yield 'what is taken back' => ['50 g shea, 20 g argan. No, 30 g.', ['50 g shea-butter', '30 g argan-oil']];
        yield 'one thing' => ['Balm: 50 g shea', ['50 g shea-butter']];
        yield 'before a dash' => ['Scrub - 1 cup honey, 2 tbsp shea', ['1 cup honey', '2 tbsp shea-butter']];
        yield 'a name before a dash' => ['Shea - 50 g, argan - 20 g', ['50 g shea-butter', '20 g argan-oil']];
        yield 'in one breath' => [
            'take 200 g shea butter and 50 g cocoa butter, melt',
            ['200 g shea-butter', '50 g cocoa-butter'],
        ];
        yield 'names first' => ['olive oil 30 g / argan oil 10 g', ['30 g olive-oil', '10 g argan-oil']];
        yield 'taken back' => ['60 g shea butter, no, 50 g shea butter', ['50 g shea-butter']];
        yield 'taken back without its name' => [
            'two tsp glycerine and 2 tsp honey, no wait 1 tsp, and 9 g olive oil',
            ['2 tsp glycerine', '1 tsp honey', '9 g olive-oil'],
        ];
        yield 'many times' => ['2 x 113 g tubs of shea butter', ['226 g shea-butter']];
        yield 'said twice' => ['2 oz (57 g) shea butter', ['2 oz (57 g) shea-butter']];
        yield 'negated' => ['60 g shea butter, never 5 ml glycerine', ['60 g shea-butter']];
        yield 'a sum' => ['60 g shea butter and 40 g olive oil. Total 100 g', ['60 g shea-butter', '40 g olive-oil']];
        yield 'a vessel' => ['60 g shea butter in a 100 ml jar', ['60 g shea-butter']];
        yield 'of no known name' => [
            '2 cups dragon juice, 1 cup olive oil',
            ['? 2 cups dragon juice', '1 cup olive-oil'],
        ];
        yield 'a dropper bottle' => ['castor oil 30 ml, 100 ml dropper bottle', ['30 ml castor-oil']];
        yield 'none' => ['melt and cool', []];
        yield 'poured to marks, 4 fl oz are 118.3 ml' => [
            '8 oz bottle. Fill to the 4 oz mark with olive oil. Then to the 6 oz mark with castor oil.',
            ['118.3 ml olive-oil', '59.1 ml castor-oil'],
        ];
        yield 'poured in parts' => [
            "100 ml bottle\nFill half with jojoba\nTop up with argan oil",
            ['50 ml jojoba-oil', 'to make 100 ml argan-oil'],
        ];
        yield 'poured into nobody knows what' => [
            "2 g shea\nTop up with argan oil",
            ['2 g shea-butter', '? to fill argan-oil'],
        ];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('breaths')]
    public function test_what_is_told_in_one_breath(string $text, array $lines): void
    {
        self::assertSame($lines, self::lines($text));
    }

    public function test_a_text_is_in_the_language_of_most_of_its_words(): void
    {
        self::assertSame(['en'], Vocabulary::of('2 tbsp castor oil, melt and cool')->languages);
        self::assertSame(['en', 'de'], Vocabulary::of('2 Esslöffel Rizinusöl mit 10 Tropfen Lavendelöl')->languages);
        self::assertSame(
            ['en', 'pt'],
            Vocabulary::of('2 colheres de sopa de óleo de rícino com 10 gotas de alecrim')->languages,
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function english(): iterable
    {
        yield 'German' => ['10 Minuten bei 70 Grad schmelzen', '10 minutes bei 70 degrees melt'];
        yield 'Dutch' => ['smelt de olie voor het haar', 'melt de olie voor het haar'];
        yield 'French' => ['fondre au bain-marie dix minutes', 'melt in a water bath 10 minutes'];
        yield 'English stays' => ['Melt it for half an hour', 'Melt it for half an hour'];
    }

    #[DataProvider('english')]
    public function test_steps_are_put_into_english_words(string $written, string $english): void
    {
        self::assertSame([$english], PlainWords::of($written));
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
