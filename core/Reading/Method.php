<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Formula\Step;
use Crown\Reading\Internal\Instructions;

/** The method of a recipe by itself: one step for each sentence, with its act, time and temperature. */
final class Method
{
    /** What stands before a sentence in a list: "1.", "2)", "-", "•". */
    private const NUMBERED = '/^\s*(?:\d{1,2}[.)]|[-*•–])\s+/u';

    /** @return list<Step> */
    public static function read(string $text): array
    {
        $steps = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            array_push($steps, ...Instructions::steps((string) preg_replace(self::NUMBERED, '', $line)));
        }

        return $steps;
    }
}
