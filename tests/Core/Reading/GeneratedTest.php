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
        foreach (['amount first', 'name first', 'dashes', 'numbered', 'sentence', 'pipes', 'csv', 'page'] as $style) {
            yield $style => [$style];
        }
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
        $rows = match ($style) {
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
}
