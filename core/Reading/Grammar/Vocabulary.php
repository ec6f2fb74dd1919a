<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Internal\Lexicon;
use RuntimeException;

/** The words of the languages that a text is written in, by what they are. */
final readonly class Vocabulary
{
    /** Words of the longest that is one thing: "to the brim of it". */
    public const LONGEST = 5;

    /** @param  array<string, array<string, float|string|true>>  $words by a word or several: kind to value */
    private function __construct(public array $words, public bool $foreign)
    {
    }

    public static function of(string $text): self
    {
        $languages = array_map(static fn (Lexicon $l): string => $l->language, Lexicon::of($text));
        $words = [];
        // English last: where two languages claim a word, hers is it that the text speaks first.
        foreach (array_reverse($languages) as $language) {
            foreach (self::read($language) as $word => $kinds) {
                $words[$word] = $kinds + ($words[$word] ?? []);
            }
        }

        return new self($words, count($languages) > 1);
    }

    /** @return array<string, array<string, float|string|true>> */
    private static function read(string $language): array
    {
        /** @var array<string, array<string, array<string, float|string|true>>> $read */
        static $read = [];

        return $read[$language] ??= self::fromFile(dirname(__DIR__, 3)."/data/lexicons/$language.json");
    }

    /** @return array<string, array<string, float|string|true>> */
    private static function fromFile(string $file): array
    {
        $all = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        if (! is_array($all) || ! is_array($all['kinds'] ?? null)) {
            throw new RuntimeException("$file: no words by kind");
        }
        $words = [];
        foreach (Kind::cases() as $kind) {
            $listed = [...(array) ($all[$kind->value] ?? []), ...(array) ($all['kinds'][$kind->value] ?? [])];
            foreach ($listed as $key => $value) {
                $is = is_int($key) ? (string) $value : (string) $key;
                $means = is_int($key) || ! is_scalar($value) ? true : (is_string($value) ? $value : (float) $value);
                $words[self::key($is)][$kind->value] = $means;
            }
        }

        return $words;
    }

    /** Several words as they are looked up: one space between them, no accents, no signs. A sign alone is itself. */
    private static function key(string $words): string
    {
        $tokens = Lexer::tokens($words);
        $plain = array_filter(array_map(static fn (Token $t): string => $t->word, $tokens), static fn (string $w): bool => $w !== '');

        return $plain === [] ? $tokens[0]->text ?? '' : implode(' ', $plain);
    }
}
