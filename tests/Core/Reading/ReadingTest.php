<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Catalogue\NameMatch;
use Crown\Formula\Audience;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Measure\Kitchen;
use Crown\Reading\ReadingError;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Reading\Understood;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class ReadingTest extends CoreTestCase
{
    private static function read(string $text): Recipe
    {
        return (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);
    }

    public function test_a_scribbled_recipe(): void
    {
        $recipe = self::read(
            <<<'TEXT'
            Sunday growth butter

            Ingredients:
            - 1 cup raw shea butter
            - 1/2 cup coconut oil, melted
            * 2 heaped tbsp castor oil
            Jojoba oil - 3 tbsp
            rosemary essential oil: 40 drops
            peppermint (30 drops)
            2 tbsp fenugreek powder
            a pinch of unicorn dust

            Method
            1. Melt everything together at 167F for 20 minutes.
            2. Cool in the fridge for 1 hour. Whip for 8-10 minutes.
            TEXT
            ,
        );

        self::assertSame('Sunday growth butter', $recipe->title);
        self::assertSame(
            ['shea-butter', 'coconut-oil', 'castor-oil', 'jojoba-oil', 'rosemary-eo', 'peppermint-eo', 'fenugreek', ''],
            array_map(static fn (ReadLine $l): string => $l->ingredient(), $recipe->lines),
        );
        self::assertSame(
            ['1 cup', '1/2 cup', '2 heaped tbsp', '3 tbsp', '40 drops', '30 drops', '2 tbsp', '1 pinch'],
            array_map(static fn (ReadLine $l): string => $l->amount, $recipe->lines),
        );
        self::assertSame('powder', $recipe->lines[6]->form);
        self::assertSame(Understood::No, $recipe->lines[7]->understood);
        self::assertSame(['melt', 'cool', 'whip'], array_map(static fn ($s): string => $s->act, $recipe->steps));
        self::assertSame([20.0, 60.0, 9.0], array_map(static fn ($s): float => $s->minutes, $recipe->steps));
        self::assertEqualsWithDelta(75.0, $recipe->steps[0]->celsius, 0.01);
        // "Melt everything together" puts the essential oil into the heat: kept, so that it can be caught.
        self::assertSame(Phase::Melt, $recipe->toFormula()->lines[4]->phase);
        self::assertSame(ProductKind::WhippedButter, $recipe->toFormula()->kind);
    }

    /** @return iterable<array{string, string, string}> */
    public static function lines(): iterable
    {
        yield ['2 tbsp castor oil', 'castor-oil', '2 tbsp'];
        yield ['castor oil 2 tbsp', 'castor-oil', '2 tbsp'];
        yield ['Castor Oil: 2 tbsp.', 'castor-oil', '2 tbsp'];
        yield ['Castor oil (2 tbsp)', 'castor-oil', '2 tbsp'];
        yield ['• ½ cup of organic extra virgin olive oil', 'olive-oil', '1/2 cup'];
        yield ['☐ 3) 20g beeswax pellets', 'beeswax', '20g'];
        yield ['a few drops of tea tree oil', 'tea-tree-eo', 'a few drops'];
        yield ['2 tbsp (28 g) mango butter', 'mango-butter', '2 tbsp (28 g)'];
        yield ['olive oil to fill', 'olive-oil', 'to fill'];
        yield ['18% kokum butter', 'kokum-butter', '18%'];
        yield ['**1 oz** cocoa butter', 'cocoa-butter', '1 oz'];
        yield ['1 c. avocado oil', 'avocado-oil', '1 c'];
        yield ['one and a half cups of grape seed oil', 'grapeseed-oil', '1 1/2 cups'];
        yield ['3 vit E capsules (500 mg)', 'vitamin-e', '3 capsules of 500 mg'];
        yield ['enough sunflower oil to make 100 ml', 'sunflower-oil', 'to make 100 ml'];
        yield ['Shea butter, melted - 100 g', 'shea-butter', '100 g'];
        yield ['Shea - 100g - melted', 'shea-butter', '100g'];
        yield ['Coconut oil, 3 oz by weight', 'coconut-oil', '3 oz'];
        yield ['Argan oil, 1 tbsp + 1 tsp', 'argan-oil', '1 tbsp + 1 tsp'];
        yield ["Jojoba oil\t45.5%", 'jojoba-oil', '45.5%'];
        yield ['🌿 1/4 cup dried rosemary', 'rosemary', '1/4 cup'];
        yield ['Ratio: 3 parts olive oil', 'olive-oil', '3 parts'];
        yield ['2.5 dl olive oil', 'olive-oil', '2.5 dl'];
        yield ['EVCO 2 tbsp', 'coconut-oil', '2 tbsp'];
    }

    #[DataProvider('lines')]
    public function test_amount_and_name_in_either_order(string $line, string $id, string $amount): void
    {
        $read = self::read("My oil\n".$line)->lines[0];

        self::assertSame([$id, $amount, Understood::Yes], [$read->ingredient(), $read->amount, $read->understood]);
    }

    /** @return iterable<array{string, array<string, string>}> */
    public static function together(): iterable
    {
        yield [
            'Equal parts of castor, olive and coconut oil',
            ['castor-oil' => '1 part', 'olive-oil' => '1 part', 'coconut-oil' => '1 part'],
        ];
        yield [
            '4 tablespoons each of castor oil and olive oil',
            ['castor-oil' => '4 tablespoons', 'olive-oil' => '4 tablespoons'],
        ];
        yield ['2 tbsp each: coconut oil, shea butter', ['coconut-oil' => '2 tbsp', 'shea-butter' => '2 tbsp']];
        yield [
            'olive oil and castor oil, half a cup of each',
            ['olive-oil' => '1/2 cup', 'castor-oil' => '1/2 cup'],
        ];
        yield [
            '7 drops each lavender, rosemary and peppermint EO',
            ['lavender-eo' => '7 drops', 'rosemary-eo' => '7 drops', 'peppermint-eo' => '7 drops'],
        ];
        yield [
            'olive + castor + jojoba, 1:1:2',
            ['olive-oil' => '1 part', 'castor-oil' => '1 part', 'jojoba-oil' => '2 parts'],
        ];
        yield ['3:1 olive oil, castor oil', ['olive-oil' => '3 parts', 'castor-oil' => '1 part']];
        yield [
            '2 cups olive oil - half a cup castor (the black one)',
            ['olive-oil' => '2 cups', 'castor-oil' => '1/2 cup'],
        ];
        yield ['2 parts coconut oil to 1 part castor oil', ['coconut-oil' => '2 parts', 'castor-oil' => '1 part']];
        yield ['60 g castor oil, and a little beeswax', ['castor-oil' => '60 g', 'beeswax' => 'a little']];
        yield ['1/2 cup of jojoba / 1/4 cup argan', ['jojoba-oil' => '1/2 cup', 'argan-oil' => '1/4 cup']];
    }

    /** @param  array<string, string>  $lines amounts by ingredient */
    #[DataProvider('together')]
    public function test_one_row_that_names_several_becomes_one_line_each(string $row, array $lines): void
    {
        foreach ([self::read($row), self::read("Blend\n".$row)] as $recipe) {
            self::assertSame(
                array_keys($lines),
                array_map(static fn (ReadLine $l): string => $l->ingredient(), $recipe->lines),
            );
            self::assertSame(
                array_values($lines),
                array_map(static fn (ReadLine $l): string => $l->amount, $recipe->lines),
            );
        }
    }

    public function test_figures_that_do_not_fit_the_names_are_not_guessed_at(): void
    {
        $recipe = self::read("Blend\nolive + castor, 1:1:2");

        self::assertNotContains(
            Understood::Yes,
            array_map(static fn (ReadLine $l): Understood => $l->understood, $recipe->lines),
        );
    }

    /** @return iterable<array{string, string, string}> */
    public static function vague(): iterable
    {
        yield ['a handful of nettle leaves', 'nettle', 'a handful'];
        yield ['handful fresh rosemary, chopped', 'rosemary', 'handful'];
        yield ['1 stick cocoa butter', 'cocoa-butter', '1 stick'];
        yield ['a good splash of water', 'water', 'a good splash'];
        yield ['some nettle', 'nettle', 'some'];
        yield ['a little water', 'water', 'a little'];
    }

    #[DataProvider('vague')]
    public function test_what_nobody_can_measure_is_kept_and_asked_about(string $row, string $id, string $amount): void
    {
        $line = self::read("Blend\n".$row)->lines[0];

        self::assertSame(
            [$id, $amount, Understood::Doubtful, null],
            [$line->ingredient(), $line->amount, $line->understood, $line->grams],
        );
        self::assertStringContainsString('cannot be told', $line->doubt());
    }

    /** @return iterable<array{string, Audience, string}> */
    public static function forWhom(): iterable
    {
        yield ["Growth oil (for my 5 yr old)\n100 g olive oil", Audience::Child2To6, '5 yr old'];
        yield ["Growth oil\n100 g olive oil\nFor kids of 8 years.", Audience::Child6To12, '8 years'];
        yield ["Kids detangling oil\n100 g olive oil", Audience::Child2To6, 'Kids'];
        yield ["Cradle cap oil for babies\n100 g olive oil", Audience::Infant, 'Cradle cap'];
        yield [
            "Belly and hair oil\n100 g olive oil\nNotes\n"
            .'I made this while pregnant with twins, every evening before bed.',
            Audience::Pregnancy,
            'pregnant',
        ];
        yield ["Oil for my sister (pregnant) and her toddler\n100 g olive oil", Audience::Infant, 'toddler'];
        yield ["No nuts oil for my 5 year old\n100 g olive oil", Audience::Child2To6, '5 year old'];
        yield ["Oil for my daughter of 7 years, do not heat\n100 g olive oil", Audience::Child6To12, '7 years'];
        yield ["Shine oil\n100 g olive oil\nGood for 2 years", Audience::AdultLeaveOn, ''];
        yield ["Sheen for my 10 year old locs\n100 g olive oil", Audience::AdultLeaveOn, ''];
        yield ["Baby hair edges\n100 g olive oil", Audience::AdultLeaveOn, ''];
        yield ["Edge balm\n100 g olive oil\nNot for children under 6. Keeps 2 years.", Audience::AdultLeaveOn, ''];
        yield ["Wash out treatment for my 40 year old scalp\n100 g olive oil", Audience::AdultLeaveOn, ''];
    }

    #[DataProvider('forWhom')]
    public function test_whom_it_is_for_is_read_when_that_asks_for_more_care(
        string $text,
        Audience $audience,
        string $words,
    ): void {
        $recipe = self::read($text);

        self::assertSame([$audience, $words], [$recipe->toFormula()->audience, $recipe->for->words ?? '']);
    }

    public function test_several_ingredients_in_one_line(): void
    {
        $recipe = self::read('2 tbsp castor oil, 1 cup olive oil and 10 drops rosemary essential oil');

        self::assertSame(
            ['castor-oil', 'olive-oil', 'rosemary-eo'],
            array_map(static fn (ReadLine $l): string => $l->ingredient(), $recipe->lines),
        );
    }

    public function test_what_only_the_method_names_with_an_amount_is_a_line(): void
    {
        $recipe = self::read(
            "Oil\n100 ml olive oil\nMethod\nStir in 10 drops of peppermint oil and pour into bottles.",
        );

        self::assertSame(['100 ml', '10 drops'], array_column($recipe->lines, 'amount'));
        self::assertSame('peppermint-eo', $recipe->lines[1]->ingredient());
        self::assertSame(Understood::Yes, $recipe->lines[1]->understood);
    }

    public function test_doubt_is_said(): void
    {
        foreach (['1 cup rosemary oil', 'equal parts rosemary oil, castor oil', 'rosemary oil 30 %'] as $row) {
            self::assertStringContainsString('steeped oil', self::read("Oil\n".$row)->lines[0]->doubt(), $row);
        }
        self::assertSame('No amount is given.', self::read("Oil\n100 g olive oil\njojoba oil")->lines[1]->doubt());
    }

    /** @param  list<string>  $line ingredient, amount */
    #[DataProvider('nearlyLost')]
    public function test_no_amount_is_lost_in_a_remark(string $row, array $line): void
    {
        $lines = self::read("Salve\n100 g olive oil\n$row\n20 g beeswax")->lines;

        self::assertGreaterThanOrEqual(3, count($lines));
        self::assertSame($line, [$lines[1]->ingredient(), $lines[1]->amount]);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function nearlyLost(): iterable
    {
        yield 'an ounce with a full stop' => ['4 oz. by weight refined shea', ['shea-butter-refined', '4 oz']];
        yield 'drops in total' => ['EO blend (lavender + ylang) 30 drops total', ['lavender-eo', '15 drops']];
        yield 'optional' => ['optional: 10 drops EO', ['', '10 drops']];
        yield 'by the piece of a sentence' => ['6 g of shea butter. Softened', ['shea-butter', '6 g']];
    }

    public function test_what_is_added_to_equal_parts_keeps_its_own_amount(): void
    {
        foreach (['', 'take '] as $begins) {
            $read = self::read("Butter\n{$begins}equal parts of shea and cocoa butter, add 10% jojoba, whip for 5 min");

            self::assertSame(
                [['shea-butter', '1 part'], ['cocoa-butter', '1 part'], ['jojoba-oil', '10%']],
                array_map(static fn (ReadLine $l): array => [$l->ingredient(), $l->amount], $read->lines),
            );
            self::assertSame(5.0, $read->steps[count($read->steps) - 1]->minutes);
        }
        $phased = self::read("Cream\nPhase A: 60% water, 3% glycerin\nPhase C: 1% preservative, 1% lavender eo");
        self::assertSame(['60%', '3%', '1%', '1%'], array_column($phased->lines, 'amount'));
        self::assertSame(['water', 'glycerine', '', 'lavender-eo'], array_map(
            static fn (ReadLine $l): string => $l->ingredient(),
            $phased->lines,
        ));
    }

    public function test_what_else_a_row_names_and_a_kind_without_a_name_are_asked_about(): void
    {
        $doubt = static fn (string $row): string => self::read("Oil\n100 g olive oil\n".$row)->lines[1]->doubt();

        $others = ['1 cup olive and avocado oil' => 'avocado-oil', '50 g aloe vera gel and water' => 'water'];
        foreach ($others as $row => $other) {
            $line = self::read("Oil\n100 g castor oil\n".$row)->lines[2];
            self::assertSame([$other, '', 'No amount is given.'], [$line->ingredient(), $line->amount, $line->doubt()]);
        }
        self::assertSame('Which preservative is meant?', $doubt('Preservative (any) 1 %'));
        $favourite = self::read("Oil\n15 drops of your favourite essential oil\n2 g shea butter")->lines[0];
        self::assertSame(['', 'Which essential oil is meant?'], [$favourite->ingredient(), $favourite->doubt()]);
        self::assertSame([], $favourite->matches, 'No strong oil is offered for want of a name.');
        self::assertSame('', $doubt('1 cup sweet almond oil (or olive)'));
        self::assertSame('', $doubt('2 tbsp shea butter, melted and cooled'));
    }

    public function test_remarks_about_the_whole_are_notes(): void
    {
        $recipe = self::read(
            "Oil\n100 g olive oil\nFor kids of 8 years.\nMakes about 4 jars\nfor shine: 10 ml argan oil\n"
                ."keeps it soft: 5 g jojoba oil\nfor love, unicorn dust 3 g\nTotal: 115 g\nPhase C (cool down)",
        );

        self::assertSame(
            ['For kids of 8 years.', 'Makes about 4 jars', 'Total: 115 g', 'Phase C (cool down)'],
            $recipe->notes,
        );
        self::assertSame(
            ['olive-oil', 'argan-oil', 'jojoba-oil'],
            array_values(array_filter(array_map(static fn (ReadLine $l): string => $l->ingredient(), $recipe->lines))),
        );
        self::assertCount(4, $recipe->lines);
    }

    public function test_lines_go_in_when_the_heading_above_them_says(): void
    {
        $recipe = self::read(
            "My butter\nPhase A\nShea butter 60%\nHeated phase:\nlavender EO 1%\nPhase C (cool down)\n"
                ."Jojoba oil 38%\nPhase D\nVitamin E 1%\nMethod\nCool it down.",
        );

        self::assertSame(
            [Phase::Melt, Phase::Melt, Phase::CoolDown, Phase::CoolDown],
            array_map(static fn ($l): Phase => $l->phase, $recipe->toFormula()->lines),
        );
        self::assertNull($recipe->lines[0]->phase);
        self::assertNull($recipe->lines[3]->phase, 'a heading that says nothing ends what was said before');
        self::assertSame(['Phase A', 'Heated phase:', 'Phase C (cool down)', 'Phase D', 'Method'], $recipe->notes);
        self::assertCount(1, $recipe->steps);
    }

    public function test_nothing_is_dropped(): void
    {
        $text
            = "Title of it\nIngredients\n2 tbsp castor oil\n???\nFor the hair:\nblargle flonk\n"
            ."<script>alert(1)</script>\n🧴 shine potion 🧴\nMelt it. Pour it.\n-3 g water\n2000 kg shea butter";
        $recipe = self::read($text);
        $kept = implode("\n", [
            $recipe->title,
            ...array_map(static fn (ReadLine $l): string => $l->text, $recipe->lines),
            ...array_map(static fn ($s): string => $s->text, $recipe->steps),
            ...$recipe->notes,
        ]);

        foreach (
            [
                'Title of it',
                'castor',
                '???',
                'For the hair:',
                'blargle flonk',
                '<script>',
                'shine potion',
                'Melt it.',
                'Pour it.',
                '-3 g',
                '2000 kg',
            ] as $piece
        ) {
            self::assertStringContainsString($piece, $kept);
        }
    }

    /** Two hundred rows of a method, each adding six things that are nowhere else. */
    private static function line(string $row): ReadLine
    {
        return self::read("Hair oil\n100 ml olive oil\n$row")->lines[1];
    }

    /** @return list<string> */
    private static function offered(ReadLine $line): array
    {
        return array_map(static fn (NameMatch $m): string => $m->ingredient->id, $line->matches);
    }

    public function test_a_figure_in_a_name_is_no_amount(): void
    {
        $names = ['BTMS-50' => 'btms-50', 'btms 25' => 'btms-25', 'polysorbate 80' => 'polysorbate-80'];
        foreach ($names as $row => $is) {
            self::assertSame($is, self::line($row)->ingredient());
            self::assertSame('', self::line($row)->amount);
            self::assertSame($is, self::line("4 oz $row")->ingredient());
            self::assertSame('4 oz', self::line("4 oz $row")->amount);
        }
    }

    public function test_what_stands_behind_or_is_a_choice_though_it_is_not_sure(): void
    {
        $line = self::line('1 tsp vitamin E or vitamin C');
        self::assertSame('vitamin-e', $line->ingredient());
        $ids = static fn (ReadLine $of): array => array_map(static fn ($c): string => $c->ingredient->id, $of->choices);
        self::assertSame(['ascorbyl-palmitate'], $ids($line));
        self::assertSame(['mango-butter'], $ids(self::line('200 g shea butter (or mango if you are allergic)')));
    }

    public function test_of_a_kind_that_is_asked_for_those_that_are_easily_had_are_offered(): void
    {
        $kinds = ['carrier oil' => 'olive-oil', 'butter' => 'shea-butter', 'preservative' => 'phenoxyethanol-ehg'];
        foreach ($kinds as $kind => $one) {
            $line = self::line("2 tsp $kind");
            self::assertSame(Understood::No, $line->understood, 'none is taken');
            self::assertContains($one, self::offered($line));
        }
        self::assertSame([], self::offered(self::line('10 drops essential oil')), 'no strong oil for want of a name');
    }

    public function test_so_much_of_what_keeps_an_oil_is_hardly_pure(): void
    {
        $much = self::line('20 ml vitamin E');
        self::assertStringContainsString('hardly pure', $much->doubts['ingredient'] ?? '');
        self::assertContains('tocopherol-in-oil', self::offered($much));
        self::assertSame(Understood::Yes, self::line('1 tsp vitamin E')->understood);
    }

    public function test_after_many_names_that_are_like_nothing_none_is_guessed_any_more(): void
    {
        $letters = static fn (int $n): string => chr(97 + intdiv($n, 20)).chr(97 + $n % 20);
        $rows = array_map(static fn (int $n): string => "7 g qvx{$letters($n)} wkjz{$letters($n)}", range(1, 200));
        $lines = self::read("Oil\n".implode("\n", [...$rows, '5 g grapesede oil', '5 g shea butter']))->lines;

        self::assertCount(202, $lines);
        self::assertSame(Understood::No, $lines[200]->understood, 'a slip of the pen is asked about');
        self::assertSame('shea-butter', $lines[201]->ingredient(), 'what is written as it is called is known');
        $next = self::line('5 g grapesede oil');
        self::assertSame('grapeseed-oil', $next->ingredient(), 'and in the next text all is as ever');
    }

    public function test_a_bought_cream_is_a_line_and_is_wet(): void
    {
        $formula = self::read("Curl cream\n200 g leave-in cream\n10 drops lavender essential oil")->toFormula();
        $assessment = self::assess($formula);

        self::assertSame('bought-cream', $formula->lines[0]->ingredient);
        self::assertGreaterThan(40.0, $assessment->subject->water->percent->best);
        $words = implode(' ', array_map(static fn ($f): string => $f->message(), $assessment->findings));
        self::assertStringContainsString('in the palm', $words);
    }

    private static function manyNames(): string
    {
        $rows = [];
        for ($n = 0; $n < 200; $n++) {
            $names = array_map(
                static fn (int $k): string => '5 g '
                    .substr(strtr(md5($n.'-'.$k), '0123456789', 'ghijklmnop'), 0, 7)
                    .'weed',
                range(0, 5),
            );
            $rows[] = 'Add '.implode(' and then ', $names).'.';
        }

        return implode("\n", $rows);
    }

    public function test_no_sign_beside_an_amount_or_a_name_spoils_the_text(): void
    {
        // Every character of two and of three bytes whose bytes are also those of quotes and dashes.
        $signs = array_map(mb_chr(...), [
            ...range(0xA1, 0x24F),
            ...range(0x391, 0x44F),
            ...range(0x2010, 0x206F),
            ...range(0x20A0, 0x20BF),
            ...range(0x2190, 0x2193),
            0x2713,
            0x3000,
            0x1F9F4,
        ]);
        foreach ($signs as $sign) {
            $recipe = self::read("Oil\n5 g $sign olive oil$sign\n$sign 2 tbsp {$sign}shea butter - 3 g");
            $json = json_encode([$recipe, $recipe->toFormula()], JSON_UNESCAPED_UNICODE);
            self::assertNotFalse($json, dechex(mb_ord($sign)).': '.json_last_error_msg());
        }
    }

    public function test_curly_quotes_and_bullets_belong_to_no_name(): void
    {
        foreach (
            [
                '5 g “olive oil”',
                '5 g • olive oil',
                '5 g ‘olive oil’',
                '5 g → olive oil',
                '5 g olive oil ✓',
                '5 g olive oil …',
            ] as $row
        ) {
            self::assertSame('olive oil', self::read("Oil\n".$row)->lines[0]->name, $row);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'empty' => ['', 'no text'];
        yield 'blank' => ["  \n\t\n ", 'no text'];
        yield 'too long' => [str_repeat('shea butter ', 20_000), 'at most 60,000'];
        yield 'too many lines' => [str_repeat("a\n", 700), 'at most 600'];
        yield 'more lines than a recipe has' => [
            implode("\n", array_map(static fn (int $n): string => $n.' g abc oill', range(1, 320))),
            'at most 300 lines',
        ];
        yield 'more steps than a method has' => ["Method\n".str_repeat("Stir it.\n", 301), 'at most 300 steps'];
        yield 'more names than anybody writes' => [self::manyNames(), 'names more than 1000 different things'];
        yield 'not text' => ["\xff\xfe\xfa", 'plain text'];
    }

    public function test_a_text_as_long_as_may_be_is_read(): void
    {
        $row = '20 g shea butter';
        $text = $row.str_repeat(' ', 60_000 - mb_strlen($row));
        self::assertSame('shea-butter', self::read($text)->lines[0]->ingredient());
        $this->expectException(ReadingError::class);
        self::read($text.' ');
    }

    #[DataProvider('unreadable')]
    public function test_refuses_what_is_no_recipe(string $text, string $says): void
    {
        $this->expectException(ReadingError::class);
        $this->expectExceptionMessage($says);

        self::read($text);
    }

    public function test_a_title_that_ends_in_a_figure_is_a_title(): void
    {
        foreach (['Evening balm 3', 'Growth oil 2.0', 'Balm no. 4'] as $title) {
            $recipe = self::read("$title\n20 g olive oil\n5 g beeswax");
            self::assertSame($title, $recipe->title);
            self::assertCount(2, $recipe->lines);
        }
        self::assertCount(3, self::read("Olive oil 3\n20 g jojoba oil\n5 g beeswax")->lines);
    }
}
