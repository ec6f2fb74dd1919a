<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Formula\Step;
use Crown\Measure\Kitchen;
use Crown\Reading\ReadLine;
use Crown\Reading\RecipeReader;
use Crown\Reading\Understood;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/**
 * Recipes as they are told: spoken, in a letter, in one breath, in seven languages. What each becomes was read by eye
 * and written down; none of them is among the sixty scribbles.
 */
final class ToldTest extends CoreTestCase
{
    /** @return iterable<string, array{string, list<string>, list<string>}> */
    public static function told(): iterable
    {
        $all = json_decode((string) file_get_contents(__DIR__.'/told.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($all);
        foreach ($all as $n => ['text' => $text, 'lines' => $lines, 'steps' => $steps]) {
            yield $n.' '.mb_substr($text, 0, 40) => [$text, $lines, $steps];
        }
    }

    /**
     * @param  list<string>  $lines
     * @param  list<string>  $steps
     */
    #[DataProvider('told')]
    public function test_it_is_read_as_it_was_meant(string $text, array $lines, array $steps): void
    {
        $read = (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);

        self::assertSame($lines, array_map(self::line(...), $read->lines));
        self::assertSame($steps, array_map(self::step(...), $read->steps));
    }

    private static function line(ReadLine $line): string
    {
        $named = $line->ingredient() === '' ? '?' : $line->ingredient();

        return trim($line->amount.' '.$named).match ($line->understood) {
            Understood::Yes => '',
            Understood::Doubtful => ' (asked)',
            Understood::No => ' (no)',
        };
    }

    private static function step(Step $step): string
    {
        return $step->act
            .($step->minutes === null ? '' : ' '.round($step->minutes).' min')
            .($step->celsius === null ? '' : ' '.round($step->celsius).' C');
    }
}
