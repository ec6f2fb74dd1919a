<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\English;
use Crown\Reading\Grammar\Lexer;
use Crown\Reading\Grammar\Vocabulary;

/** Sentences of a method in English words: acts, times and places of seven languages. */
final class PlainWords
{
    /** @return list<string> one for each sentence; the language is that of all of them together */
    public static function of(string ...$sentences): array
    {
        $vocabulary = Vocabulary::of(implode("\n", $sentences));

        return array_values(array_map(
            static fn (string $s): string => English::of($s, new Chart(Lexer::tokens($s), $vocabulary))->text,
            $sentences,
        ));
    }
}
