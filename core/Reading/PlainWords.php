<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Reading\Internal\Lexicon;
use Crown\Reading\Internal\Plain;

/** Sentences of a method in plain words: verbs, units and times of seven languages in one spelling. */
final class PlainWords
{
    /** @return list<string> one for each sentence; the language is that of all of them together */
    public static function of(string ...$sentences): array
    {
        if ($sentences === []) {
            return [];
        }
        $plain = new Plain(Lexicon::of(implode("\n", $sentences)));

        return array_values(array_map($plain->row(...), $sentences));
    }
}
