<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Formula\ProductKind;
use Crown\Formula\Step;
use Crown\Measure\Kitchen;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Steep\SteepMethod;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What follows from a recipe as a whole: what it makes, what of it is a steep, what a bare list lets conclude. */
final class WholeTest extends CoreTestCase
{
    private static function read(string $text): Recipe
    {
        return (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);
    }

    #[DataProvider('kinds')]
    public function test_what_it_makes_is_told_from_all_of_it(string $text, ProductKind $kind): void
    {
        self::assertSame($kind, self::read($text)->toFormula()->kind);
    }

    /** @return iterable<string, array{string, ProductKind}> */
    public static function kinds(): iterable
    {
        $whipped = "80 g shea butter\n20 g olive oil\n";
        yield 'whipped in its steps' => ["Cloud\n{$whipped}Melt. Whip for ten minutes.", ProductKind::WhippedButter];
        yield 'whipped by name' => ["Whipped shea\n".$whipped, ProductKind::WhippedButter];
        yield 'butter' => ["For winter\n".$whipped, ProductKind::StirredButter];
        yield 'butter under another name' => ["Scalp treat\n".$whipped, ProductKind::StirredButter];
        yield 'butter in name and a little wax' => [
            "Body butter\n50 g shea butter\n48 g olive oil\n2 g beeswax",
            ProductKind::StirredButter,
        ];
        yield 'wax sets it' => ["For edges\n10 g beeswax\n90 g olive oil", ProductKind::Balm];
        yield 'wax sets a scalp oil too' => ["Scalp oil\n10 g beeswax\n90 g olive oil", ProductKind::Balm];
        yield 'a trace of wax' => ["For edges\n2 g beeswax\n98 g olive oil", ProductKind::Balm];
        yield 'a pomade' => ["Pomade\n60 g castor oil\n40 g mango butter", ProductKind::Balm];
        yield 'a rinse-out' => ["Rinse-out treat\n60 g castor oil\n40 g mango butter", ProductKind::RinseOutBalm];
        yield 'on the scalp' => ["For me\n90 g olive oil\n\nMethod\nMassage into the scalp.", ProductKind::ScalpOil];
        yield 'growth' => ["Growth oil\n90 g olive oil", ProductKind::ScalpOil];
        yield 'to seal' => ["For me\n90 g olive oil\n\nMethod\nPut it on damp hair to seal.", ProductKind::SealingOil];
        yield 'hot' => ["Hot oil\n90 g olive oil", ProductKind::HotOil];
        yield 'hot by what is done' => ["For me\n90 g olive oil\n\nMethod\nUse as a hot oil.", ProductKind::HotOil];
        yield 'a bar' => ["Shampoo bar\n90 g shea butter", ProductKind::ConditionerBar];
        yield 'no bar' => ["Barely there\n90 g olive oil", ProductKind::HairOil];
        yield 'bound' => [
            "For curls\n70 g water\n20 g olive oil\n10 g emulsifying wax",
            ProductKind::Emulsion,
        ];
        yield 'called so' => ["Leave-in\n70 g water\n30 g olive oil", ProductKind::Emulsion];
        yield 'by parts' => ["Mine\n1 part beeswax\n9 parts olive oil", ProductKind::Balm];
        yield 'by shares' => ["Mine\n40 % shea butter\n60 % olive oil", ProductKind::StirredButter];
        yield 'nothing known' => ["Mine\n90 g dragon oil", ProductKind::HairOil];
    }

    private const STEEP = "Oil\n40 g dried rosemary\n10 g dried nettle\n300 g olive oil\n20 g castor oil\n"
        ."1 % vitamin E\n";

    /**
     * @param  list<int>  $herbs
     * @param  list<int>  $oils
     */
    #[DataProvider('steeps')]
    public function test_a_part_of_it_may_be_a_steep(
        string $method,
        SteepMethod $way,
        array $herbs,
        array $oils,
        ?int $days = null,
        ?float $celsius = null,
        ?float $minutes = null,
    ): void {
        $steep = self::read(self::STEEP."\nMethod\n".$method)->steep;

        self::assertNotNull($steep);
        self::assertSame([$way, $herbs, $oils, $days], [$steep->method, $steep->herbs, $steep->oils, $steep->days]);
        self::assertSame([$celsius, $minutes], [$steep->celsius, $steep->minutes]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function steeps(): iterable
    {
        $both = [0, 1];
        yield 'in the dark' => ['Leave to steep for 4 weeks, then strain.', SteepMethod::ColdDark, $both, [2, 3], 28];
        yield 'of no said time' => ['Steep the herbs in the oils. Strain.', SteepMethod::ColdDark, $both, [2, 3]];
        yield 'not strained' => ['Infuse for 10 days.', SteepMethod::ColdDark, $both, [2, 3], 10];
        yield 'on the sill' => ['Steep 3 weeks on a sunny sill. Strain.', SteepMethod::SunnySill, $both, [2, 3], 21];
        yield 'an oil of later' => [
            'Steep in the olive oil for 2 weeks. Strain. Stir in the castor oil.',
            SteepMethod::ColdDark,
            $both,
            [2],
            14,
        ];
        yield 'in a water bath' => [
            'Warm in a double boiler at 60 C for 2 hours. Strain.',
            SteepMethod::WaterBath,
            $both,
            [2, 3],
            null,
            60.0,
            120.0,
        ];
        yield 'in a pan' => ['Heat gently for 45 minutes. Cool for 2 hours. Strain.', SteepMethod::DirectHeat, $both,
            [2, 3], null, null, 45.0];
        yield 'warmed for a moment' => ['Heat for 5 minutes. Strain.', SteepMethod::DirectHeat, $both, [2, 3]];
        yield 'blended' => ['Blend the herbs with the oil. Heat for 1 hour. Strain.', SteepMethod::BlendHeat, $both,
            [2, 3], null, null, 60.0];
    }

    public function test_what_is_not_drawn_is_no_steep(): void
    {
        self::assertNull(self::read(self::STEEP)->steep);
        self::assertNull(self::read("Oil\n90 g olive oil\n\nMethod\nLet it steep for 2 weeks.")->steep);
        self::assertNull(self::read("Tea\n40 g dried rosemary\n90 g water\n\nMethod\nSteep it, then strain.")->steep);
        self::assertNull(self::read("Oil\n9 g nettle\n90 % olive oil\n\nMethod\nSteep for 2 weeks.")->steep);
    }

    public function test_the_strained_oil_stands_in_the_formula_and_its_steps_are_done(): void
    {
        $read = self::read(self::STEEP."\nMethod\nSteep for 3 weeks. Strain. Stir in the vitamin E. Bottle it.");
        $formula = $read->steep?->strained($read->toFormula(), 'steep-7', 'Rosemary and nettle', 251.26);
        $draft = $read->steep?->draft($read->lines, new DateTimeImmutable('2026-05-01'));

        self::assertSame(['steep-7', 'vitamin-e'], array_column($formula->lines ?? [], 'ingredient'));
        self::assertSame('251.3 g', $formula?->lines[0]->amount->text);
        self::assertSame(
            ['Stir in the vitamin E.', 'Bottle it.'],
            array_map(static fn (Step $s): string => $s->text, $formula->steps),
        );
        self::assertSame(['40 g', '10 g'], array_column($draft['herbs'], 'amount'));
        self::assertSame(['dried', 'dried'], array_column($draft['herbs'], 'form'));
        self::assertSame(['olive-oil', 'castor-oil'], array_column($draft['oils'], 'ingredient'));
        self::assertSame(
            ['cold-dark', 21, '2026-05-01'],
            [$draft['method'], $draft['days'], $draft['started_on']],
        );
    }

    public function test_a_bare_list_tells_its_order_and_no_shares(): void
    {
        $list = 'Ingredients: Aqua, Butyrospermum Parkii Butter, Glycerin, Phenoxyethanol, Tocopherol';
        $order = self::read($list)->order;
        // k things in falling order: the k-th is at most a k-th of the whole, the first at least an n-th.
        self::assertSame([100.0, 50.0, 33.3, 1.0, 1.0], $order?->jsonSerialize()['most_percent']);
        self::assertSame(
            'A list of names alone. If it stands in falling order, as a label must, the first is at least 20 % and '
                .'the second at most 50 %. More cannot be told. Law allows at most 1 % of Phenoxyethanol, so nothing '
                .'after it is over 1 %.',
            $order->words(),
        );
        $last = self::read('Ingredients: Aqua, Glycerin, Butyrospermum Parkii Butter, Phenoxyethanol')->order;
        self::assertStringEndsWith('More cannot be told.', (string) $last?->words());
        self::assertNull(self::read("Oil\n9 g olive oil\n9 g castor oil\n9 g argan oil")->order);
        self::assertNull(self::read("Oil\nolive oil\ncastor oil\nargan oil")->order);
    }

    public function test_jars_and_how_many_times_are_claimed(): void
    {
        $claims = static fn (string $said): ?array => self::read("Oil\n90 g olive oil\n$said")->claims->jsonSerialize();
        self::assertSame(['jars' => 4], $claims('Makes 4 jars.'));
        self::assertSame(['jars' => 2], $claims('Fills two small tins'));
        self::assertSame(['millilitres' => 200.0, 'jars' => 4], $claims('Makes 4 jars of 50 ml'));
        self::assertSame(['grams' => 90.0], $claims('Makes 90 g'));
        self::assertNull($claims('Stir well.'));
        $times = static fn (string $said): array => self::read("Oil\n90 g olive oil\n$said")->claims->times;
        self::assertSame([2.0, 0.5], $times('double this for two heads, half it for short hair, double it again'));
        self::assertSame([3.0], $times('I tripled the recipe.'));
        self::assertSame([], $times('Melt in a double boiler.'));
    }

    /** @param  list<array{string, string, float|null, float|null}>  $steps text, act, minutes, °C */
    #[DataProvider('foreign')]
    public function test_steps_keep_the_words_in_which_they_were_written(string $text, array $steps): void
    {
        self::assertSame($steps, array_map(
            static fn (Step $s): array => [$s->text, $s->act, $s->minutes, $s->celsius],
            self::read($text)->steps,
        ));
    }

    /** @return iterable<string, array{string, list<array{string, string, float|null, float|null}>}> */
    public static function foreign(): iterable
    {
        yield 'French' => [
            "Baume\n60 g de beurre de karité\nFaire fondre à 75 degrés pendant 10 minutes. Verser dans un pot.",
            [
                ['Faire fondre à 75 degrés pendant 10 minutes.', 'melt', 10.0, 75.0],
                ['Verser dans un pot.', 'pour', null, null],
            ],
        ];
        yield 'German' => [
            "Balsam\n60 g Sheabutter\n1. Bei 70 Grad schmelzen, dann 2 Stunden ruhen lassen",
            [
                ['Bei 70 Grad schmelzen', 'melt', null, 70.0],
                ['dann 2 Stunden ruhen lassen', 'wait', 120.0, null],
            ],
        ];
        yield 'English' => [
            "Balm\n60 g shea butter\nMelt at 70 C, then chill for 1 hour. Shake once a week.",
            [
                ['Melt at 70 C', 'melt', null, 70.0],
                ['chill for 1 hour.', 'chill', 60.0, null],
                ['Shake once a week.', 'shake', null, null],
            ],
        ];
    }

    public function test_lines_of_a_list_in_a_letter_are_found_where_they_stand(): void
    {
        $read = self::read("> Oil\n> 90 g olive oil\n> 5 g vitamin E");

        self::assertSame(
            ['90 g olive oil', '5 g vitamin E'],
            array_map(static fn (ReadLine $l): string => $l->place, $read->lines),
        );
    }
}
