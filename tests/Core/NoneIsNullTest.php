<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * What is not there is null: an empty text, a nought or a -1 that stands for it will one day be shown as one. Read out
 * of what the docblocks of core say.
 */
final class NoneIsNullTest extends TestCase
{
    /** "" when there is none; -1 where nothing is known; 0 when it is not known. */
    private const STANDS_FOR_NONE = '/
        (?:^\s*\/?\*) .* (?:
            (?: "" | \'\' | (?<![\w.-])-1(?:\.0)? ) \s (?:when|where|while|for|if|is) \b
            | \bor\ ""
            | \b0 \s (?:when|where|while|if) \s .* \b(?:not\ (?:known|said|measured)|nobody|cannot\ be\ told)\b
        )
    /x';

    /**
     * Where a text is what it is about: a text is taken apart, a row of a form is filled in, a figure has no unit, a
     * thing has no form of its own.
     */
    private const OF_TEXT = [
        'Catalogue/Correction.php', 'Formula/Line.php', 'Measure/KitFigure.php', 'Measure/Property.php',
        'Assessment/FigureName.php', 'Pantry/LotDraft.php', 'Pantry/Paid.php', 'Reading/',
    ];

    public function test_nothing_else_stands_for_none(): void
    {
        $found = $read = 0;
        foreach (self::files() as $path => $lines) {
            $read += count($lines);
            foreach ($lines as $n => $line) {
                self::assertDoesNotMatchRegularExpression(self::STANDS_FOR_NONE, $line, $path.':'.($n + 1));
                $found += (int) str_contains($line, 'null when') + (int) str_contains($line, 'null where');
            }
        }

        self::assertGreaterThan(10_000, $read);
        self::assertGreaterThan(100, $found);
    }

    public function test_the_pattern_finds_what_it_is_to_find(): void
    {
        foreach (
            [
                '    /** Why it must not be used; "" while it may. */',
                '     * @param  float  $overrun below 0 when it was not measured',
                '     * @param  int  $row its number; -1 for none',
                '     * @param  string  $form fresh, dried, or ""',
            ] as $bad
        ) {
            self::assertMatchesRegularExpression(self::STANDS_FOR_NONE, $bad);
        }
        self::assertDoesNotMatchRegularExpression(self::STANDS_FOR_NONE, '    /** Days late; 0 when it is not. */');
    }

    /** @return iterable<string, list<string>> lines by path */
    private static function files(): iterable
    {
        $core = dirname(__DIR__, 2).'/core/';
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core)) as $file) {
            $path = $file instanceof SplFileInfo ? substr($file->getPathname(), strlen($core)) : '';
            $isOfText = array_filter(self::OF_TEXT, static fn (string $of): bool => str_starts_with($path, $of)) !== [];
            if (str_ends_with($path, '.php') && ! $isOfText) {
                yield $path => file($core.$path, FILE_IGNORE_NEW_LINES) ?: [];
            }
        }
    }
}
