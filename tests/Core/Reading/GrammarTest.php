<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Measure\Kitchen;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Reading\Understood;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What can be said in a list can be said in a sentence: every form in every frame reads as the form alone does. */
final class GrammarTest extends CoreTestCase
{
    private const FRAMES = [
        '%s',
        'Melt %s.',
        'Mix %s in a bowl.',
        'I use %s.',
        'You need %s.',
        'Take %s and stir.',
        'Blend %s, then bottle it.',
    ];

    /** @return iterable<string, array{string, list<string>}> a form, and what goes in by it */
    public static function forms(): iterable
    {
        $two = ['100 g shea-butter', '50 g mango-butter'];
        yield 'amounts first' => ['100 g shea butter and 50 g mango butter', $two];
        yield 'names first' => ['shea butter 100 g and mango butter 50 g', $two];
        yield 'in brackets' => ['shea butter (100 g) and mango butter (50 g)', $two];
        yield 'in words' => [
            'two tablespoons of castor oil and a teaspoon of vitamin E',
            ['2 tbsp castor-oil', '1 tsp vitamin-e'],
        ];
        yield 'of each' => ['30 ml each of castor oil and jojoba oil', ['30 ml castor-oil', '30 ml jojoba-oil']];
        yield 'a ratio' => ['castor oil and jojoba oil 2:1', ['2 parts castor-oil', '1 part jojoba-oil']];
        yield 'the ratio first' => ['2:1 castor oil and jojoba oil', ['2 parts castor-oil', '1 part jojoba-oil']];
        yield 'parts' => ['4 parts argan oil and 1 part castor oil', ['4 parts argan-oil', '1 part castor-oil']];
        yield 'shares' => ['70 % jojoba oil and 30 % castor oil', ['70 % jojoba-oil', '30 % castor-oil']];
        yield 'halves' => ['half castor oil and half jojoba oil', ['50 % castor-oil', '50 % jojoba-oil']];
        yield 'equal parts' => ['equal parts castor oil and jojoba oil', ['1 part castor-oil', '1 part jojoba-oil']];
        yield 'one amount of two' => [
            '60 ml of equal parts castor oil and jojoba oil',
            ['30 ml castor-oil', '30 ml jojoba-oil'],
        ];
        yield 'one amount of a ratio' => [
            '90 ml of castor oil and jojoba oil 2:1',
            ['60 ml castor-oil', '30 ml jojoba-oil'],
        ];
        yield 'one unit' => ['30 and 60 ml of castor oil and jojoba oil', ['30 ml castor-oil', '60 ml jojoba-oil']];
        yield 'one unit behind' => [
            'castor oil and jojoba oil 30 and 60 ml',
            ['30 ml castor-oil', '60 ml jojoba-oil'],
        ];
        yield 'a part of another' => [
            '60 ml castor oil and a third of that amount of jojoba oil',
            ['60 ml castor-oil', '20 ml jojoba-oil'],
        ];
        yield 'times another' => ['30 ml castor oil and twice as much jojoba oil', [
            '30 ml castor-oil',
            '60 ml jojoba-oil',
        ]];
        yield 'filled up' => ['20 ml castor oil and jojoba oil up to 100 ml', [
            '20 ml castor-oil',
            'to make 100 ml jojoba-oil',
        ]];
    }

    /** @param  list<string>  $goesIn */
    #[DataProvider('forms')]
    public function test_a_form_reads_the_same_in_every_frame(string $form, array $goesIn): void
    {
        foreach (self::FRAMES as $frame) {
            self::assertSame($goesIn, self::lines(sprintf($frame, $form)), $frame);
        }
    }

    public function test_a_plant_in_an_oil_is_an_oil_that_was_steeped_whichever_they_are(): void
    {
        $oils = ['olive oil' => 'olive-oil', 'jojoba oil' => 'jojoba-oil', 'coconut oil' => 'coconut-oil'];
        foreach (['rosemary', 'calendula', 'nettle', 'hibiscus'] as $plant) {
            foreach ($oils as $oil => $id) {
                $steeped = ["120 g infused.$plant.$id", '60 g castor-oil'];
                self::assertSame($steeped, self::lines("120 g $plant in $oil\n60 g castor oil"));
                self::assertSame($steeped, self::lines("120 g $oil infused with $plant\n60 g castor oil"));
                $own = ["40 g $plant", "200 ml $id"];
                self::assertSame($own, self::lines("40 g $plant in $oil\n200 ml $oil"), 'has a line of its own');
                $asked = ["40 g $plant", $id];
                self::assertSame($asked, array_map(trim(...), self::lines("40 g dried $plant in $oil")));
            }
        }
    }

    public function test_what_was_used_before_or_by_another_is_left_out_where_hers_is_told(): void
    {
        $hers = '40 g babassu oil and 10 g argan oil';
        $texts = [
            "I used to do 50 g coconut oil, now it's $hers.",
            "Früher 50 g Kokosöl, jetzt $hers.",
            "First attempt: 50 g coconut oil. Second attempt: $hers.",
            "Ann wrote: 50 g coconut oil.\nMe: $hers.",
            "My grandma used 50 g coconut oil. I use $hers.",
            "Original: 50 g coconut oil. My version: $hers.",
            "Don't do what I did (50 g coconut oil!). Take $hers.",
            "Rinse with 2 l of warm water after. Mix $hers.",
            "I drink 2 l of water a day. The oil: $hers.",
        ];
        foreach ($texts as $text) {
            self::assertSame(['40 g babassu-oil', '10 g argan-oil'], self::lines($text), $text);
        }
        // Where nothing else is told, it is what is meant.
        self::assertSame(['50 g coconut-oil'], self::lines('My grandma used 50 g coconut oil.'));
    }

    public function test_what_is_ranked_is_no_recipe_and_a_ranking_ends_where_amounts_begin(): void
    {
        self::assertSame([], self::lines("Oils ranked, best to worst:\n1. Castor oil\n2. Argan oil\n3. Olive oil"));
        self::assertSame(
            ['30 ml castor-oil'],
            self::lines("Oils ranked, best to worst:\n1. Castor oil\n2. Argan oil\n\n30 ml castor oil"),
        );
    }

    public function test_of_the_scale_what_lies_between_two_readings_goes_in_and_is_asked(): void
    {
        $lines = self::read("empty jar 95 g\nshea butter 155\njojoba oil 175")->lines;

        self::assertSame(['60 g', '20 g'], array_map(static fn (ReadLine $l): string => $l->amount, $lines));
        self::assertStringContainsString('what the scale showed', $lines[0]->doubt());
        // Falling figures are no readings of one scale.
        self::assertSame('175 g', self::read("empty jar 95 g\nshea butter 175 g\njojoba oil 155 g")->lines[0]->amount);
    }

    public function test_of_several_rows_of_figures_the_last_is_taken_and_asked(): void
    {
        $lines = self::read("shea butter | coconut oil\n50 | 50\n60 | 40")->lines;

        self::assertSame(['60 %', '40 %'], array_column($lines, 'amount'));
        self::assertStringContainsString('Several rows of figures', $lines[0]->doubt());
        self::assertSame('', self::read("shea butter | coconut oil\n60 | 40")->lines[0]->doubt());
    }

    public function test_two_recipes_in_one_text_are_never_added_up_and_it_is_asked_which_is_meant(): void
    {
        foreach (
            [
                "Jar 1\n30 g shea butter\n20 g castor oil\n\nJar 2\n40 g shea butter\n10 g jojoba oil",
                "Version A: 30 g shea butter, 20 g castor oil\nVersion B: 40 g shea butter, 10 g jojoba oil",
                "Versuch 1:\n30 g Sheabutter\n20 g Rizinusöl\nVersuch 2:\n40 g Sheabutter\n10 g Jojobaöl",
            ] as $text
        ) {
            self::assertSame(['30 g shea-butter', '20 g castor-oil'], self::lines($text), $text);
            self::assertStringContainsString('The text holds 2 recipes', self::read($text)->lines[0]->doubt());
        }
        $two = "Version A: 30 g shea, 20 g castor\nVersion B: 40 g shea, 9 g argan";
        self::assertSame('Version A', self::read($two)->title);
        $changed = "Before:\n50 g shea butter\n50 g coconut oil\nAfter:\n60 g shea butter\n40 g jojoba oil";
        self::assertSame(['60 g shea-butter', '40 g jojoba-oil'], self::lines($changed));
    }

    public function test_a_version_of_a_single_thing_is_one_too_and_a_common_method_is_of_all(): void
    {
        $three = "Version A: 100 % shea butter\nVersion B: 60 g shea butter, 40 g jojoba oil";
        self::assertSame(['100 % shea-butter'], self::lines($three));
        $method = "\n\nMethod\nMelt everything at 70 C.";
        $two = "Version A\n30 g shea butter\n20 g castor oil\n\nVersion B\n40 g shea butter\n10 g argan oil";
        self::assertSame(['Melt everything at 70 C.'], array_column(self::read($two.$method)->steps, 'text'));
        $own = str_replace("\n\nVersion B", "\n\nMethod\nStir it cold.\n\nVersion B", $two);
        self::assertSame(['Stir it cold.'], array_column(self::read($own.$method)->steps, 'text'));
    }

    public function test_what_is_made_apart_for_one_recipe_stays_one(): void
    {
        foreach (
            [
                // Nothing in common: two jars that steep for one salve.
                "Jar 1:\n30 g nettle leaf\n200 ml olive oil\nJar 2:\n20 g calendula\n100 ml jojoba oil",
                "Phase A:\n30 g shea butter\n20 g castor oil\nPhase B:\n40 g jojoba oil\n1 g vitamin e",
                "Before:\n30 g shea butter\n20 g castor oil",
            ] as $text
        ) {
            self::assertStringNotContainsString('recipes', self::read($text)->lines[0]->doubt(), $text);
            self::assertCount(substr_count($text, ' g ') + substr_count($text, ' ml '), self::lines($text), $text);
        }
    }

    public function test_what_a_bottle_holds_is_its_size_and_no_measure_of_hers(): void
    {
        self::assertSame(
            ['50 ml castor-oil', 'to make 100 ml argan-oil'],
            self::lines('My bottle holds 100 ml: half castor oil, rest argan oil.'),
        );
    }

    public function test_i_is_a_number_of_the_romans_only_where_it_counts_a_measure(): void
    {
        $counted = self::lines("III tbsp castor oil\nI tbsp argan oil");
        self::assertSame(['3 tbsp castor-oil', '1 tbsp argan-oil'], $counted);
        self::assertSame(['2 tbsp castor-oil'], self::lines('2 tbsp castor oil I think'));
        self::assertNotContains('1 tbsp castor-oil', self::lines('2 tbsp I think of castor oil'));
    }

    public function test_as_much_as_it_needs_is_asked_and_never_fills_the_jar(): void
    {
        $lines = self::read("Water ad 100\nGlycerine 3\nPanthenol 1\nCitric acid q.s.")->lines;

        self::assertSame(['to fill', '3 %', '1 %', ''], array_column($lines, 'amount'));
        self::assertStringContainsString('As much as it needs', $lines[3]->doubt());
    }

    public function test_of_what_is_said_at_most_that_much_is_taken_and_asked(): void
    {
        $bounds = ['less than 1 %', 'at most 1 %', 'max. 1 %', 'maximum 1 %', '<1 %', '≤ 1 %', 'no more than 1 %',
            'höchstens 1 %', 'au maximum 1 %', 'como máximo 1 %', 'al massimo 1 %', 'hoogstens 1 %'];
        foreach ($bounds as $bound) {
            $lines = self::read("Shea butter 60\nOlive oil 39\nVitamin E $bound")->lines;

            self::assertSame('vitamin-e', $lines[2]->ingredient(), $bound);
            self::assertSame('1%', str_replace(' ', '', $lines[2]->amount), $bound);
            self::assertStringContainsString('at most', $lines[2]->doubt(), $bound);
            self::assertSame('60 %', $lines[0]->amount, "the sign of $bound is that of all");
        }
        $portuguese = "Manteiga de karité 60\nAzeite de oliva 39\nVitamina E no máximo 1 %";
        self::assertSame(['60 % shea-butter', '39 % olive-oil', '1 % vitamin-e'], self::lines($portuguese));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function vessels(): iterable
    {
        yield 'levels' => ['100 ml bottle: castor oil to the 20 ml mark, jojoba oil to the 60 ml line, rest argan', [
            '20 ml castor-oil',
            '40 ml jojoba-oil',
            'to make 100 ml argan-oil',
        ]];
        yield 'thirds' => ['Flasche von 60 ml: ein Drittel Rizinusöl, ein Drittel Mandelöl, Rest Arganöl', [
            '20 ml castor-oil',
            '20 ml sweet-almond-oil',
            'to make 60 ml argan-oil',
        ]];
        yield 'its own measure' => ['2 syringes (10 ml each) of castor oil, 1 syringe of jojoba oil', [
            '20 ml castor-oil',
            '10 ml jojoba-oil',
        ]];
        yield 'said of so much' => ['2 parts olive oil, 1 part castor oil, 6 drops lavender eo per 30 ml', [
            '20 ml olive-oil',
            '10 ml castor-oil',
            '6 drops lavender-eo',
        ]];
        yield 'mended' => ["4 tbsp olive oil\n2 tbsp neem oil\nEDIT: 2 TEASPOONS neem oil, sorry", [
            '4 tbsp olive-oil',
            '2 teaspoons neem-oil',
        ]];
    }

    /** @param  list<string>  $goesIn */
    #[DataProvider('vessels')]
    public function test_what_one_says_of_another_is_settled(string $text, array $goesIn): void
    {
        self::assertSame($goesIn, self::lines($text));
    }

    /** @return iterable<string, array{string, list<string>}> texts of our own, each read by hand */
    public static function said(): iterable
    {
        $all = json_decode((string) file_get_contents(__DIR__.'/said.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($all);
        foreach ($all as $n => ['text' => $text, 'lines' => $lines]) {
            yield $n.' '.mb_substr($text, 0, 40) => [$text, $lines];
        }
    }

    /** @param  list<string>  $goesIn "?" before what is asked about */
    #[DataProvider('said')]
    public function test_what_people_say_goes_in(string $text, array $goesIn): void
    {
        self::assertSame($goesIn, array_map(
            static fn (ReadLine $l): string => ($l->understood === Understood::Yes ? '' : '? ')
                .trim($l->amount.' '.($l->ingredient() === '' ? $l->name : $l->ingredient())),
            self::read($text)->lines,
        ));
    }

    public function test_every_word_of_a_text_has_one_fate(): void
    {
        foreach (self::said() as [$text]) {
            $last = 0;
            foreach (self::read($text)->spans as $span) {
                self::assertGreaterThanOrEqual($last, $span->start, $text);
                self::assertSame(mb_substr($text, $span->start, $span->end - $span->start), $span->text);
                $last = $span->end;
            }
        }
    }

    public function test_a_word_that_says_what_it_is_is_never_left_over(): void
    {
        foreach (['carrot juice', 'spinach water', 'horsetail decoction', 'soaked fenugreek'] as $name) {
            $line = self::read("Mist\n100 ml $name\n50 g olive oil")->lines[0];

            self::assertStringContainsString($name, $line->name);
        }
    }

    public function test_shopping_is_no_recipe(): void
    {
        self::assertSame([], self::read('Bought the 120 ml castor oil for 9.99, would buy again')->lines);
    }

    public function test_what_goes_in_is_not_lost_beside_other_words(): void
    {
        foreach ([
            '50 g shea butter that I bought, 20 drops clove oil' => ['shea-butter', 'clove-bud-eo'],
            "50 g shea butter\nDo not heat it, stir in 10 drops of clove oil" => ['shea-butter', 'clove-bud-eo'],
            "A: 50 g shea butter, 9 g jojoba\nB: 50 g shea butter" => ['shea-butter', 'jojoba-oil', 'shea-butter'],
        ] as $text => $ids) {
            $read = array_map(static fn (ReadLine $l): string => $l->ingredient(), self::read($text)->lines);

            self::assertSame($ids, $read, $text);
        }
    }

    private static function read(string $text): Recipe
    {
        return (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return array_map(
            static fn (ReadLine $l): string => $l->amount.' '.$l->ingredient(),
            self::read($text)->lines,
        );
    }
}
