<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/** Ingredients that a text leaves out: "never glycerin", "instead of coconut oil", "no essential oils". */
final readonly class Negations
{
    private const NOT = '/
        \b(?:
            no|not|never|without|don\'?t\ (?:add|use)|instead\ of|skip(?:\ the)?|kein(?:e|en)?|ohne|sans|sin
            |sem|senza|geen|zonder
        )\s+(?:any\s+|the\s+|added\s+)?(?<name>\p{L}[\p{L}\'-]*(?:\s+\p{L}[\p{L}\'-]*){0,3})
    /xiu';

    /** What is no name, and yet a thing that goes in. */
    private const KINDS = '/
        ^(?:
            essential\ oils?|preservatives?|fragrances?|perfumes?|waxe?s?|butters?|silicones?|sulphates?
            |sulfates?|parabens?|alcohol|colou?rs?
        )\b
    /xiu';

    public function __construct(private Names $names)
    {
    }

    /** @return list<string> with the word that leaves it out, as they stand in the row */
    public function in(string $row): array
    {
        preg_match_all(self::NOT, $row, $m, PREG_SET_ORDER);
        $found = [];
        foreach ($m as $one) {
            $name = $this->longest($one['name']);
            if ($name !== '') {
                $found[] = mb_substr($one[0], 0, mb_strlen($one[0]) - mb_strlen($one['name']) + mb_strlen($name));
            }
        }

        return $found;
    }

    /** The longest beginning of some words that names something. */
    private function longest(string $words): string
    {
        $all = explode(' ', $words);
        for ($length = count($all); $length > 0; $length--) {
            $name = implode(' ', array_slice($all, 0, $length));
            if (mb_strlen($name) > 3 && $this->names->exactly($name)) {
                return $name;
            }
        }

        return preg_match(self::KINDS, $words, $m) === 1 ? $m[0] : '';
    }
}
