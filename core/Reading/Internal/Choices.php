<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Reading\Choice;

/** What a line leaves open: "shea or 80 g mango butter", "rosemary, if you have it". */
final readonly class Choices
{
    private const LEFT_OPEN = '\b(?:
            optional(?:ly)?|facultatif|opcional|facoltativo|optioneel
            |if\ (?:you|u)\ (?:have|like|want|wish|fancy|can\ (?:find|get))
            (?:\ (?:it|one|any|some|to|them))?
            |if\ (?:available|desired|liked|wanted)|(?:or|can)\ (?:leave|left|be\ left)\ (?:it\ |this\ )?out
        )\b[).!]*';

    public const OPEN = '/[\s,(–—-]*'.self::LEFT_OPEN.'/xiu';

    private const OPENS = '/^[\s,(]*'.self::LEFT_OPEN.'/xiu';

    /** What the last is called, the others are: "sweet almond or jojoba oil". */
    private const KIND = '/
        \s+(?<kind>essential\ oils?|e\.?o\.?s?|oils?|butters?|wax|powder|extract|gel)$
    /xiu';

    /** As they stand in other languages too, where they mean nothing else in English. */
    private const WORDS = '\b(?:or|oder|oppure|ofwel)\b';

    private const OR = '/'.self::WORDS.'/iu';

    private const LONGEST = 120;

    /** What is named behind an "or", and nobody knows; "" where there is none. */
    public static function other(string $name): string
    {
        return trim(self::unconditional(preg_split(self::OR, $name, 2)[1] ?? ''), ' ,.)(');
    }

    /** "Mango if you are allergic": why it is taken is no part of its name. */
    private static function unconditional(string $name): string
    {
        return preg_replace('/\s+(?:if|when|where|in case)\b.*$/iu', '', $name) ?? $name;
    }

    public function __construct(private Entries $entries)
    {
    }

    /** Whether words begin with those that leave open what stands before them. */
    public static function opens(string $words): bool
    {
        return preg_match(self::OPENS, $words) === 1;
    }

    /**
     * A name without the words that leave it open.
     *
     * @return array{string, bool} the name, and whether it was left open
     */
    public static function optional(string $name): array
    {
        if (preg_match(self::OPEN, $name, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return [$name, false];
        }
        [$open, $at] = $m[0];
        $before = trim(substr($name, 0, $at), ' ,');

        // What follows says why: "optional, leave it out if …".
        return [$before === '' ? trim(substr($name, $at + strlen($open)), ' ,') : $before, true];
    }

    /**
     * A name that offers several, as the first of them and the others. What is not all known is one name.
     *
     * @return array{string, list<Choice>}
     */
    public function in(string $name): array
    {
        $plain = trim(preg_replace('/\(\s*or\b([^)]*)\)/iu', ' or $1', $name) ?? $name);
        if (mb_strlen($plain) > self::LONGEST || preg_match(self::OR, $plain) !== 1) {
            return [$name, []];
        }
        // What stands behind "or" is another, also where it is not sure which; what stands behind a comma may be none.
        $least = [
            '/\s*(?:,|'.self::WORDS.')\s*/iu' => Entries::SURE,
            '/\s*,?\s*'.self::WORDS.'\s*/iu' => Entries::NEAR,
        ];
        foreach ($least as $between => $score) {
            $pieces = preg_split($between, $plain, flags: PREG_SPLIT_NO_EMPTY) ?: [];
            $choices = $this->known(self::ofOneKind($pieces), $score);
            if (count($choices) > 1 && $choices[0]->amount === '') {
                return [$choices[0]->written, array_slice($choices, 1)];
            }
        }

        return [$name, []];
    }

    /**
     * @param  list<string>  $pieces
     * @param  float  $least how well all but the first have to be known
     * @return list<Choice> one for each, or none where one is not known or is named twice
     */
    private function known(array $pieces, float $least): array
    {
        $choices = [];
        foreach ($pieces as $piece) {
            [$called, $amount] = $this->entries->split(self::unconditional($piece));
            $best = $this->entries->matches($called)[0] ?? null;
            $wanted = $choices === [] ? Entries::SURE : $least;
            if ($best === null || $best->score < $wanted || isset($choices[$best->ingredient->id])) {
                return [];
            }
            $choices[$best->ingredient->id] = new Choice($best->ingredient, $called, $amount);
        }

        return array_values($choices);
    }

    /**
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function ofOneKind(array $names): array
    {
        if (preg_match(self::KIND, (string) end($names), $m) !== 1) {
            return $names;
        }

        return array_map(
            static fn (string $n): string => preg_match('/
                # an amount alone, or a name that says of what kind it is
                ^(?:[\d.,\/]+.*|.*\b(?:oils?|butters?|wax|e\.?o\.?s?|powder|extract|gel|juice|water))$
            /xiu', $n) === 1 ? $n : $n.' '.$m['kind'],
            $names,
        );
    }
}
