<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Kitchen;
use Crown\Reading\Fate;
use Crown\Reading\ReadingError;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Reading\Span;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** Random recipes, written out in the ways people write, read back to what they were; damaged ones never crash. */
final class GeneratedTest extends CoreTestCase
{
    private const RECIPES = 40;

    private const DAMAGED = 150;

    #[DataProvider('styles')]
    public function test_a_recipe_reads_back_to_what_it_was(string $style): void
    {
        $draw = new Randomizer(new Mt19937(crc32($style)));
        for ($n = 0; $n < self::RECIPES; $n++) {
            $lines = self::lines($draw);
            $text = self::written($style, $lines);
            $read = self::read($text);

            self::assertSame(
                array_map(static fn (array $l): array => [$l[0]->id, $l[1]], $lines),
                array_map(static fn (ReadLine $l): array => [$l->ingredient(), $l->amount], $read->lines),
                $text,
            );
            self::assertSame([], $read->unplaced(), $text);
            self::assertSame(
                array_map(static fn (array $l): string => mb_strtolower($l[0]->name), $lines),
                array_map(
                    static fn (Span $s): string => mb_substr($text, $s->start, $s->end - $s->start),
                    array_values(array_filter($read->spans, static fn (Span $s): bool => $s->fate === Fate::Name)),
                ),
            );
        }
    }

    /** @return iterable<string, array{string}> */
    public static function styles(): iterable
    {
        $styles = ['amount first', 'name first', 'dashes', 'numbered', 'sentence', 'pipes', 'csv', 'cells', 'page',
            'apart', 'over each other', 'dictated', 'in brackets', 'behind a remark', 'told'];
        foreach ($styles as $style) {
            yield $style => [$style];
        }
    }

    public function test_a_list_turned_into_a_sentence_and_back_changes_nothing_of_what_goes_in(): void
    {
        $draw = new Randomizer(new Mt19937(29));
        for ($n = 0; $n < self::RECIPES; $n++) {
            $lines = self::lines($draw);
            $list = self::goesIn(self::read(self::written('amount first', $lines)));
            foreach (['sentence', 'told', 'name first', 'apart'] as $style) {
                $text = self::written($style, $lines);
                self::assertSame($list, self::goesIn(self::read($text)), $text);
            }
        }
    }

    public function test_a_unit_said_by_another_word_for_it_changes_nothing_but_the_word(): void
    {
        $draw = new Randomizer(new Mt19937(31));
        $same = ['g' => ['grams', 'gr', 'gramm'], 'ml' => ['mls', 'millilitres', 'cc'],
            'tbsp' => ['tablespoons', 'tbs', 'tablespoonfuls'], 'drops' => ['drps', 'gtt', 'drop']];
        for ($n = 0; $n < self::RECIPES; $n++) {
            $lines = array_values(array_filter(self::lines($draw), static fn (array $l): bool => is_numeric($l[1][0])
                && isset($same[explode(' ', $l[1])[1] ?? ''])));
            $swapped = array_map(static function (array $l) use ($same, $draw): array {
                [$count, $unit] = explode(' ', $l[1]);

                return [$l[0], $count.' '.$same[$unit][$draw->getInt(0, 2)]];
            }, $lines);
            $text = self::written('amount first', $swapped);
            $grams = static fn (Recipe $r): array => array_map(static fn (ReadLine $l): array => [
                $l->ingredient(),
                round($l->grams->band->best ?? 0.0, 6),
            ], $r->lines);
            $first = self::read(self::written('amount first', $lines));
            self::assertSame($grams($first), $grams(self::read($text)), $text);
        }
    }

    public function test_a_ratio_reads_the_same_wherever_its_figures_stand(): void
    {
        $draw = new Randomizer(new Mt19937(37));
        for ($n = 0; $n < self::RECIPES; $n++) {
            $lines = array_slice(self::lines($draw), 0, $draw->getInt(2, 4));
            $names = array_map(static fn (array $l): string => mb_strtolower($l[0]->name), $lines);
            $figures = array_map(static fn (): int => $draw->getInt(1, 9), $lines);
            $ratio = implode(':', $figures);
            $listed = implode(', ', $names);
            $pairs = implode(' : ', array_map(static fn (string $n, int $f): string => "$n $f", $names, $figures));
            $parts = implode(', ', array_map(static fn (string $n, int $f): string => "$f parts $n", $names, $figures));
            $row = implode(' | ', $names)."\n".implode(' | ', $figures);
            $shares = self::shares(self::read($parts));
            self::assertCount(count($names), $shares);
            foreach (["$ratio $listed", "$listed in a ratio of $ratio", "$listed $ratio", $pairs, $row] as $text) {
                self::assertSame($shares, self::shares(self::read($text)), $text);
            }
            $sized = self::read("$listed $ratio, 200 g")->lines;
            self::assertEqualsWithDelta(
                200.0,
                array_sum(array_map(static fn (ReadLine $l): float => $l->grams->band->best ?? 0.0, $sized)),
                0.1,
            );
        }
    }

    /** Of several recipes under heads that count them, one is read as it would be alone, and it is asked. */
    public function test_recipes_that_are_counted_are_never_added_up(): void
    {
        $draw = new Randomizer(new Mt19937(41));
        $styles = ['amount first', 'name first', 'dashes', 'sentence', 'apart'];
        $heads = [['Version A', 'Version B', 'Version C'], ['Trial 1:', 'Trial 2:', 'Trial 3:'],
            ['Test #1', 'Test #2', 'Test #3'], ['Recipe I:', 'Recipe II:', 'Recipe III:']];
        for ($n = 0; $n < self::RECIPES; $n++) {
            $called = array_slice($heads[$draw->getInt(0, 3)], 0, $draw->getInt(2, 3));
            $all = array_map(static fn (): string => self::written(
                $styles[$draw->getInt(0, count($styles) - 1)],
                array_slice(self::lines($draw), 0, 4),
            ), $called);
            $text = implode("\n\n", array_map(static fn (string $h, string $t): string => "$h\n$t", $called, $all));
            self::assertSame(self::goesIn(self::read($all[0])), self::goesIn(self::read($text)), $text);
            $asks = sprintf('The text holds %d recipes', count($called));
            self::assertStringContainsString($asks, self::read($text)->lines[0]->doubt(), $text);
        }
    }

    /** @return list<array{string, float}> what goes in, with its part of all parts */
    private static function shares(Recipe $recipe): array
    {
        $count = static fn (ReadLine $l): float => (float) $l->amount;
        $sum = array_sum(array_map($count, $recipe->lines));

        return array_map(
            static fn (ReadLine $l): array => [$l->ingredient(), $sum > 0.0 ? round($count($l) / $sum, 4) : 0.0],
            $recipe->lines,
        );
    }

    /** @return list<string> */
    private static function goesIn(Recipe $recipe): array
    {
        return array_map(static fn (ReadLine $l): string => "$l->amount {$l->ingredient()}", $recipe->lines);
    }

    public function test_damaged_texts_never_crash_and_never_invent_a_mass(): void
    {
        $draw = new Randomizer(new Mt19937(7));
        $texts = glob(__DIR__.'/scribbles/texts/*.txt') ?: [];
        for ($n = 0; $n < self::DAMAGED; $n++) {
            $text = self::damaged((string) file_get_contents($texts[$n % count($texts)]), $draw);
            try {
                $read = self::read($text);
                foreach ($read->spans as $span) {
                    self::assertSame($span->text, mb_substr($text, $span->start, $span->end - $span->start));
                }
                foreach ($read->lines as $line) {
                    $mass = $line->grams->band->best ?? 0.0;
                    self::assertTrue($mass === 0.0 || $line->amount !== '', $text);
                }
            } catch (ReadingError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    private static function read(string $text): Recipe
    {
        static $reader = null;
        $reader ??= new RecipeReader(self::catalogue(), new Kitchen());

        return $reader->read($text);
    }

    /** @return list<array{Ingredient, string}> */
    private static function lines(Randomizer $draw): array
    {
        static $pool = null;
        $pool ??= array_values(array_filter(
            self::catalogue()->all(),
            static fn (Ingredient $i): bool => in_array(
                $i->kind,
                [IngredientKind::CarrierOil, IngredientKind::Butter, IngredientKind::EssentialOil],
                true,
            ) && preg_match('/^[\p{L} ]+$/u', $i->name) === 1,
        ));
        $lines = [];
        foreach ($draw->pickArrayKeys($pool, $draw->getInt(3, 8)) as $key) {
            $ingredient = $pool[$key];
            $amount = $ingredient->kind === IngredientKind::EssentialOil
                ? $draw->getInt(2, 30).' drops'
                : match ($draw->getInt(0, 3)) {
                    0 => $draw->getInt(5, 300).' g',
                    1 => $draw->getInt(2, 9).' tbsp',
                    2 => $draw->getInt(5, 250).' ml',
                    default => ['1/2 cup', '1/4 cup', '1 cup', '2 cups'][$draw->getInt(0, 3)],
                };
            $lines[] = [$ingredient, $amount];
        }

        return $lines;
    }

    /** @param  list<array{Ingredient, string}>  $lines */
    private static function written(string $style, array $lines): string
    {
        $each = static fn (callable $row): array => array_map(
            static fn (array $l, int $n): string => $row(mb_strtolower($l[0]->name), $l[1], $n + 1),
            $lines,
            array_keys($lines),
        );
        $rows = self::otherwise($style, $each) ?? match ($style) {
            'amount first' => $each(static fn (string $name, string $amount): string => "$amount $name"),
            'name first' => $each(static fn (string $name, string $amount): string => "$name: $amount"),
            'dashes' => $each(static fn (string $name, string $amount): string => "- $name – $amount"),
            'numbered' => $each(static fn (string $name, string $amount, int $n): string => "$n. $amount of $name"),
            'sentence' => [implode(', ', $each(static fn (string $name, string $amount): string => "$amount $name"))],
            'pipes' => [
                '| Ingredient | Amount |',
                '|---|---|',
                ...$each(static fn (string $name, string $amount): string => "| $name | $amount |"),
            ],
            'csv' => [
                'ingredient,amount',
                ...$each(static fn (string $name, string $amount): string => "$name,$amount"),
            ],
            'cells' => $each(
                static fn (string $name, string $amount): string => "$name;".implode(';', explode(' ', $amount, 2)),
            ),
            default => [
                '<ul>',
                ...$each(static fn (string $name, string $amount): string => "<li>$amount $name</li>"),
                '</ul>',
            ],
        };

        return implode("\n", ['Evening mixture', ...$rows]);
    }

    /** Cut, shuffled, or with signs put into it. */
    private static function damaged(string $text, Randomizer $draw): string
    {
        $length = mb_strlen($text);
        $cut = mb_substr($text, $draw->getInt(0, intdiv($length, 2)), $draw->getInt(1, $length));
        $words = preg_split('/(\s+)/u', $cut, flags: PREG_SPLIT_DELIM_CAPTURE) ?: [$cut];

        return match ($draw->getInt(0, 2)) {
            0 => $cut,
            1 => implode('', $draw->shuffleArray($words)),
            default => implode(['|', "\t", '½', '(((', '<td>', '1/0', ' - ', '"'][$draw->getInt(0, 7)], $words),
        };
    }

    /**
     * @param  callable(callable): list<string>  $each
     * @return list<string>|null
     */
    private static function otherwise(string $style, callable $each): ?array
    {
        return match ($style) {
            // An amount in figures is a row that is nothing else.
            'apart' => [
                ...$each(static fn (string $name): string => $name),
                '',
                ...$each(static fn (string $name, string $amount): string => $amount),
            ],
            'over each other' => [
                'Ingredients:',
                ...$each(static fn (string $name, string $amount): string => "$amount\n$name"),
            ],
            'dictated' => [implode(' comma ', $each(
                static fn (string $name, string $amount): string => "$amount of $name",
            ))],
            'in brackets' => [implode(', ', $each(
                static fn (string $name, string $amount): string => "$name ($amount)",
            ))],
            'behind a remark' => $each(static fn (string $name, string $amount): string => "$name (for slip, $amount)"),
            'told' => ['I take '.implode(', ', $each(
                static fn (string $name, string $amount): string => "$amount of $name",
            )).'.'],
            default => null,
        };
    }
}
