<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;
use Crown\Catalogue\NameMatch;
use Crown\Measure\Kitchen;
use Crown\Reading\Choice;
use Crown\Reading\Correction;
use Crown\Reading\Fate;
use Crown\Reading\Knowledge;
use Crown\Reading\Ounces;
use Crown\Reading\OwnOil;
use Crown\Reading\ReadAs;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Reading\Settled;
use Crown\Reading\SettledBy;
use Crown\Reading\Span;
use Crown\Reading\Understood;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What the text leaves open, and what the maker, the studio and its shelf say of it. */
final class SettlingTest extends CoreTestCase
{
    private static function read(
        string $text,
        ReadAs $as = new ReadAs(),
        Knowledge $knowledge = new Knowledge(),
        ?Catalogue $catalogue = null,
    ): Recipe {
        return (new RecipeReader($catalogue ?? self::catalogue(), new Kitchen(), $knowledge))->read($text, $as);
    }

    /** @return list<string> amount, ingredient, form and what is left open of each line */
    private static function told(Recipe $recipe): array
    {
        return array_map(static fn (ReadLine $l): string => trim(implode(' ', [
            $l->amount,
            $l->ingredient() === '' ? '?'.$l->name : $l->ingredient(),
            $l->form,
            ...array_map(static fn (Choice $c): string => trim("or $c->amount {$c->ingredient->id}"), $l->choices),
            $l->optional ? 'optional' : '',
        ])), $recipe->lines);
    }

    /** @param  list<string>  $lines */
    #[DataProvider('open')]
    public function test_an_alternative_is_one_line_with_its_choices(string $text, array $lines): void
    {
        $told = self::told(self::read("Oil\n90 g castor oil\n".$text));

        self::assertSame(['90 g castor-oil', ...$lines], array_map(
            static fn (string $t): string => (string) preg_replace('/ +/', ' ', $t),
            $told,
        ));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function open(): iterable
    {
        yield 'either' => ['20 g olive oil or sunflower oil', ['20 g olive-oil or sunflower-oil']];
        yield 'oil said once' => ['2 tbsp sweet almond or jojoba oil', ['2 tbsp sweet-almond-oil or jojoba-oil']];
        yield 'in brackets' => ['9 g shea butter (or mango butter)', ['9 g shea-butter or mango-butter']];
        yield 'of three' => ['9 g olive oil, argan oil or jojoba oil', ['9 g olive-oil or argan-oil or jojoba-oil']];
        yield 'each its own amount' => ['100 g shea butter or 80 g mango butter', [
            '100 g shea-butter or 80 g mango-butter',
        ]];
        yield 'in a sentence' => [
            'Mix 20 g argan oil and 10 g olive oil or jojoba oil, and whip it for ten minutes by hand.',
            ['20 g argan-oil', '10 g olive-oil or jojoba-oil'],
        ];
        yield 'a mass in brackets is of the line' => ['1 cup shea butter or mango butter (about 200 g)', [
            '1 cup (200 g) shea-butter or mango-butter',
        ]];
        yield 'why it may be left out' => ['3 tbsp coconut oil - optional, leave it out in summer', [
            '3 tbsp coconut-oil optional',
        ]];
        yield 'may be left out' => ['9 g argan oil (optional)', ['9 g argan-oil optional']];
        yield 'if it is there' => ['a few drops of lavender essential oil, if you have it', [
            'a few drops lavender-eo optional',
        ]];
        yield 'no name of another' => ['9 g olive oil (virgin or not)', ['9 g olive-oil']];
        yield 'another language' => ['20 g Olivenöl oder Sonnenblumenöl', ['20 g olive-oil or sunflower-oil']];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('easilyLost')]
    public function test_nothing_is_lost_in_silence(string $text, array $lines): void
    {
        self::assertSame($lines, self::told(self::read($text)));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function easilyLost(): iterable
    {
        yield 'weighed as well as filled' => ["Oil\n1 cup shea butter (about 200 g)", ['1 cup (200 g) shea-butter']];
        yield 'added to a proportion' => ['Seal - 50/50 jojoba and baobab, plus 1% vit e. No coconut!', [
            '50 % jojoba-oil',
            '50 % baobab-oil',
            '1% vitamin-e',
        ]];
        yield 'filled by sight' => [
            "Oil\nFill a jar a third with fenugreek seeds, cover with 200 ml of sesame oil. Wait 3 weeks. Strain.",
            ['fenugreek', '200 ml sesame-oil'],
        ];
        yield 'a few without "a"' => [
            'In a pan 1 cup coconut oil and 2 tbsp amla powder, few drops of lavender oil, all of it over low flame.',
            ['1 cup coconut-oil', '2 tbsp amla powder', 'a few drops lavender-eo'],
        ];
        yield 'of a kind alone' => ["Oil\n9 g olive oil\n20 drops of essential oil of your choice (lavender)", [
            '9 g olive-oil',
            '20 drops ?essential oil of your choice (lavender)',
        ]];
        yield 'left out' => ["Oil\n9 g olive oil\n\nMethod\nNever cover with water. Stir.", ['9 g olive-oil']];
    }

    public function test_words_of_another_language_are_found_as_they_were_written(): void
    {
        $text = "Balsam\nsechzig Gramm Sheabutter\nzwei Esslöffel Rizinusöl\nOhne Glycerin, ohne Wasser";
        $spans = array_map(static fn (Span $s): string => $s->fate->value.' '.$s->text, self::read($text)->spans);

        self::assertSame([
            'title Balsam',
            'amount sechzig Gramm',
            'name Sheabutter',
            'amount zwei Esslöffel',
            'name Rizinusöl',
            'negated Ohne Glycerin',
            'negated ohne Wasser',
        ], $spans);
    }

    public function test_what_the_maker_says_counts_before_what_is_read(): void
    {
        $text = "Oil\n20 g kastr oyl\n5 g nettle\n3 g unicorn dust\nIn 2019 I used 30 g of olive oil for my bath.";
        $said = static fn (string $row, string $name, string $amount, string ...$what): Correction => new Correction(
            $row,
            $name,
            $amount,
            $what['is'] ?? '',
            $what['form'] ?? '',
            $what['says'] ?? '',
            isset($what['out']),
        );
        $read = self::read($text, new ReadAs([
            $said('20 g kastr oyl', 'kastr oyl', '20 g', is: 'olive-oil'),
            $said('20 g kastr oyl', 'kastr oyl', '20 g', is: 'castor-oil', says: '25 g'),
            $said(' 5 g  nettle', 'nettle', '5 g', is: 'nettle', form: 'fresh'),
            $said('3 g unicorn dust', 'unicorn dust', '3 g', out: 'yes'),
            $said('In 2019 I used 30 g of olive oil for my bath.', '', '2019', out: 'yes'),
            $said('Oil', '', '', is: 'argan-oil', says: '2 g'),
            $said('Oil', '', '', is: 'no-such-thing', says: '2 g'),
            $said('20 g kastr oyl', 'kastr oyl', '21 g', is: 'jojoba-oil'),
        ]));

        self::assertSame(
            ['25 g castor-oil', '5 g nettle fresh', '30 g olive-oil', '2 g argan-oil'],
            self::told($read),
        );
        self::assertSame(
            [SettledBy::Maker, SettledBy::Maker, SettledBy::Text, SettledBy::Maker],
            array_map(static fn (ReadLine $l): SettledBy => $l->by, $read->lines),
        );
        self::assertSame(['kastr oyl', '20 g'], [$read->lines[0]->name, $read->lines[0]->writtenAmount]);
        self::assertSame(Understood::Yes, $read->lines[0]->understood);
        self::assertSame([], $read->unplaced());
        $remarks = array_filter($read->spans, static fn (Span $s): bool => str_starts_with($s->why, 'You said'));
        self::assertSame(['unicorn dust', '2019'], array_column($remarks, 'text'));
        self::assertSame(['2019'], array_map(static fn (Span $s): string => $s->text, self::read($text)->unplaced()));
    }

    public function test_a_figure_that_nothing_took_can_be_an_amount(): void
    {
        $row = 'and then 12 of the good stuff that I always buy on the market, it smells so nice.';
        $read = self::read("Oil\n20 g olive oil\n".$row, new ReadAs([
            new Correction($row, '', '12', 'argan-oil', '', '12 g'),
        ]));

        self::assertSame(['20 g olive-oil', '12 g argan-oil'], self::told($read));
        self::assertSame([], $read->unplaced());
    }

    public function test_a_name_settled_once_means_the_same_in_the_next_recipe(): void
    {
        $knowledge = new Knowledge(names: [
            new Settled('Kastr  oyl', 'castor-oil'),
            new Settled('green powder', 'nettle', 'powder'),
            new Settled('the good stuff', 'gone-oil'),
            new Settled('essential oil', 'lavender-eo'),
        ]);
        $read = self::read(
            "Oil\n20 g kastr oyl\n5 g green powder\n9 g the good stuff\n5 drops essential oil",
            knowledge: $knowledge,
        );

        self::assertSame(
            ['20 g castor-oil', '5 g nettle powder', '9 g ?good stuff', '5 drops ?essential oil'],
            self::told($read),
        );
        self::assertSame(
            [SettledBy::Studio, SettledBy::Studio, SettledBy::Text, SettledBy::Text],
            array_map(static fn (ReadLine $l): SettledBy => $l->by, $read->lines),
        );
        self::assertSame([true, true, true, false], array_map(
            static fn (ReadLine $l): bool => (bool) $l->jsonSerialize()['memorable'],
            $read->lines,
        ));
    }

    /** An essential oil that was settled is still not taken by the cup. */
    public function test_a_settled_name_does_not_outweigh_what_can_hardly_be(): void
    {
        $read = self::read("Oil\n1 cup green oil\n20 g olive oil", knowledge: new Knowledge(names: [
            new Settled('green oil', 'rosemary-eo'),
        ]));

        self::assertSame(Understood::Doubtful, $read->lines[0]->understood);
        self::assertStringContainsString('can hardly be an essential oil', $read->lines[0]->doubt());
    }

    public function test_an_ounce_of_a_liquid_is_asked_once_where_it_matters(): void
    {
        $text = "Butter\n4 oz shea butter\n4 oz olive oil\n1 oz by weight jojoba oil\n2 fl oz argan oil";
        $weight = self::read($text);
        $volume = self::read($text, new ReadAs(ouncesByVolume: true));

        self::assertTrue($weight->leavesOuncesOpen());
        self::assertSame(['4 oz', '4 fl oz', '1 oz', '2 fl oz'], array_map(
            static fn (ReadLine $l): string => $l->amount,
            $volume->lines,
        ));
        // 4 fl oz of olive oil are 118.29 ml x 0.914 = 108.1 g, where 4 oz are 113.4 g.
        self::assertEqualsWithDelta(108.1, $volume->lines[1]->grams?->band->best, 0.1);
        $asked = Ounces::asked(
            self::assess($weight->toFormula()),
            self::assess($volume->toFormula()),
            false,
        );
        self::assertSame(
            'By weight it comes to 309 g, with 36.7 % olive oil. By volume it comes to 304 g, with 35.6 % olive oil.',
            $asked?->jsonSerialize()['changes'],
        );
        self::assertNull(Ounces::asked(self::assess($weight->toFormula()), self::assess($weight->toFormula()), false));
        foreach (['4 oz shea butter', '4 fl oz olive oil', '4 oz (113 g) olive oil', '9 g olive oil'] as $row) {
            self::assertFalse(self::read("Oil\n".$row)->leavesOuncesOpen(), $row);
        }
    }

    /** @param  list<string>  $ids  what it may be, the likeliest first */
    #[DataProvider('own')]
    public function test_oils_steeped_here_are_known_by_the_way_people_name_them(
        string $name,
        array $ids,
        string $why = '',
    ): void {
        $day = static fn (string $date): DateTimeImmutable => new DateTimeImmutable($date);
        $oils = [
            new OwnOil('lot-1', 'Rosemary in olive', ['rosemary'], ['olive-oil'], $day('2026-03-02')),
            new OwnOil('lot-2', 'Clove oil of spring', ['clove-bud'], ['sunflower-oil'], $day('2026-04-20')),
            new OwnOil('lot-3', 'Second rosemary', ['rosemary', 'nettle'], ['sunflower-oil'], $day('2026-05-09')),
        ];
        $makers = [];
        foreach ($oils as $oil) {
            $makers[] = new Making($oil->id, $oil->title, static fn (): Ingredient => self::steeped($oil));
        }
        $knowledge = new Knowledge($oils, today: $day('2026-05-12'));
        $catalogue = self::catalogue()->making(...$makers);
        $line = self::read("Oil\n30 g $name\n5 g vitamin E", knowledge: $knowledge, catalogue: $catalogue)->lines[0];
        $found = array_map(static fn (NameMatch $m): string => $m->ingredient->id, $line->matches);

        self::assertSame($ids, array_slice($found, 0, count($ids)));
        self::assertSame($why === '' ? Understood::Yes : Understood::Doubtful, $line->understood);
        self::assertStringContainsString($why, $line->doubt());
    }

    public function test_my_oil_is_the_only_one_there_is(): void
    {
        $day = new DateTimeImmutable('2026-03-02');
        $oils = [
            new OwnOil('lot-1', 'Rosemary in olive', ['rosemary'], ['olive-oil'], $day),
            new OwnOil('lot-2', 'Clove oil of spring', ['clove-bud'], ['sunflower-oil'], $day),
        ];
        $found = static function (OwnOil ...$oils): array {
            $makers = [];
            foreach ($oils as $oil) {
                $makers[] = new Making($oil->id, $oil->title, static fn (): Ingredient => self::steeped($oil));
            }
            $lines = self::read(
                "Oil\n30 g my steeped oil\n5 g vitamin E",
                knowledge: new Knowledge($oils),
                catalogue: self::catalogue()->making(...$makers),
            )->lines;

            return array_map(static fn (NameMatch $m): string => $m->ingredient->id, $lines[0]->matches);
        };
        self::assertSame(['lot-1'], $found($oils[0]));
        self::assertNotContains('lot-2', $found(...$oils));
    }

    private static function steeped(OwnOil $oil): Ingredient
    {
        $plan = self::onePlant(
            self::catalogue()->get('nettle'),
            'dried',
            20.0,
            self::catalogue()->get($oil->oils[0]),
            200.0,
            SteepMethod::ColdDark,
            $oil->madeOn->modify('-28 days'),
        );

        return (new SteepYield($plan, 150.0))->ingredient($oil->id, $oil->title);
    }

    /** @return iterable<string, array{0: string, 1: list<string>, 2?: string}> */
    public static function own(): iterable
    {
        yield 'the only one of nettle' => ['my nettle oil', ['lot-3']];
        yield 'one of two' => ['my rosemary oil', ['lot-3', 'lot-1'], 'There are several'];
        yield 'by its oil as well' => ['my rosemary olive oil', ['lot-1']];
        yield 'of last month' => ['the clove oil from last month', ['lot-2']];
        yield 'of this month' => ['rosemary oil from this month', ['lot-3']];
        yield 'of a month by name' => ['the rosemary oil from March', ['lot-1']];
        yield 'that I made' => ['nettle oil that I made', ['lot-3']];
        yield 'by what it was made of' => ['nettle infused sunflower oil', ['lot-3'], 'which was steeped here?'];
        yield 'of another oil' => [
            'rosemary in jojoba oil',
            ['infused.rosemary.jojoba-oil'],
            'Steeped elsewhere with rosemary',
        ];
        yield 'by its own name' => ['Second rosemary', ['lot-3']];
        yield 'none of it' => ['my peppermint oil', ['peppermint-eo'], 'can hardly be an essential oil'];
        yield 'of nobody' => ['rosemary essential oil', ['rosemary-eo']];
    }

    public function test_a_drop_of_what_was_never_steeped_here_is_asked_about(): void
    {
        $line = self::read("Oil\n5 g of my peppermint oil\n90 g olive oil")->lines[0];

        self::assertSame(Understood::Doubtful, $line->understood);
        self::assertStringContainsString('No such oil was steeped here', $line->doubt());
    }

    public function test_every_figure_of_a_text_has_one_fate_and_no_word_has_two(): void
    {
        $texts = glob(__DIR__.'/scribbles/texts/*.txt') ?: [];
        self::assertCount(60, $texts);
        foreach ($texts as $file) {
            $text = (string) file_get_contents($file);
            $covered = [];
            foreach (self::read($text)->spans as $span) {
                self::assertSame($span->text, mb_substr($text, $span->start, $span->end - $span->start), $file);
                for ($at = $span->start; $at < $span->end; $at++) {
                    self::assertArrayNotHasKey($at, $covered, "$file at $at");
                    $covered[$at] = $span->fate;
                }
            }
            if (preg_match('/<\w+[^>]*>|\||\t/u', $text) === 1) {
                // In a page or a table the words are told apart by its columns.
                continue;
            }
            preg_match_all('/\d+/u', $text, $m, PREG_OFFSET_CAPTURE);
            foreach ($m[0] as [$figure, $bytes]) {
                $at = mb_strlen(substr($text, 0, $bytes));
                self::assertInstanceOf(Fate::class, $covered[$at] ?? null, basename($file).": $figure at $at");
            }
        }
    }
}
