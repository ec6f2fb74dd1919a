<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Catalogue\Name;
use RuntimeException;

/** The words of the languages that a text is written in, by what they are. */
final readonly class Vocabulary
{
    public const LANGUAGES = ['en', 'de', 'fr', 'es', 'pt', 'it', 'nl'];

    /** Words of the longest that is one thing: "to the brim of it". */
    public const LONGEST = 5;

    /** Different words of another language from which a text speaks it; in a short text one is enough. */
    private const SPOKEN = 2;

    private const SHORT = 12;

    /**
     * @param  array<string, array<string, float|string|true>>  $words by a word or several: kind to value
     * @param  non-empty-list<string>  $languages that the text is written in, English first
     */
    private function __construct(public array $words, public array $languages)
    {
    }

    /** Whether it has another language than English. */
    public function isForeign(): bool
    {
        return count($this->languages) > 1;
    }

    /** @return array<string, string> units by words of five letters and more */
    public function units(): array
    {
        $units = [];
        foreach ($this->words as $word => $kinds) {
            $unit = $kinds[Kind::Unit->value] ?? null;
            if (is_string($unit) && strlen($word) >= 4) {
                $units[$word] = $unit;
            }
        }

        return $units;
    }

    /** @return array<string, float> the number words of a language, as they are written there */
    public static function numbers(string $language): array
    {
        /** @var array<string, array<string, float>> $read */
        static $read = [];

        return $read[$language] ??= self::figures(
            self::json((string) file_get_contents(self::file($language)))['numbers'] ?? [],
        );
    }

    public static function english(): self
    {
        /** @var self|null $english */
        static $english = null;

        return $english ??= new self(self::read('en'), ['en']);
    }

    public static function of(string $text): self
    {
        $languages = ['en', ...self::spoken($text)];
        $words = [];
        // English last: where two languages claim a word, hers is it that the text speaks first.
        foreach (array_reverse($languages) as $language) {
            foreach (self::read($language) as $word => $kinds) {
                $words[$word] = $kinds + ($words[$word] ?? []);
            }
        }

        // "Cc" is a spoon in French: a measure is meant in the language of the text.
        foreach (isset($languages[1]) ? self::read($languages[1]) : [] as $word => $kinds) {
            $words[$word] = isset($kinds[Kind::Unit->value])
                ? [Kind::Unit->value => $kinds[Kind::Unit->value]] + $words[$word]
                : $words[$word];
        }

        return new self($words, $languages);
    }

    /**
     * The other language of which a text has the most words that English has not; none where they are too few.
     *
     * @return list<string>
     */
    private static function spoken(string $text): array
    {
        $words = array_unique(array_filter(array_map(static fn (Token $t): string => $t->word, Lexer::tokens($text))));
        $english = self::read('en');
        $foreign = array_filter($words, static fn (string $w): bool => ! isset($english[$w]));
        $best = ['', 0];
        foreach (array_slice(self::LANGUAGES, 1) as $language) {
            $known = self::read($language);
            $hits = count(array_filter($foreign, static fn (string $w): bool => isset($known[$w]) && strlen($w) > 1));
            $best = $hits > $best[1] ? [$language, $hits] : $best;
        }
        $isSpoken = $best[1] >= self::SPOKEN || ($best[1] > 0 && count($words) <= self::SHORT);

        return $isSpoken ? [$best[0]] : [];
    }

    /** @return array<string, array<string, float|string|true>> */
    private static function read(string $language): array
    {
        /** @var array<string, array<string, array<string, float|string|true>>> $read */
        static $read = [];

        return $read[$language] ??= self::fromFile(self::file($language));
    }

    /** @return array<string, array<string, float|string|true>> */
    private static function fromFile(string $file): array
    {
        $all = self::json(Name::inAscii((string) file_get_contents($file)));
        if (! is_array($all['kinds'] ?? null)) {
            throw new RuntimeException("$file: no words by kind");
        }
        $words = [];
        foreach (Kind::cases() as $kind) {
            foreach ([$all[$kind->value] ?? [], $all['kinds'][$kind->value] ?? []] as $listed) {
                foreach (is_array($listed) ? $listed : [] as $key => $value) {
                    $is = is_int($key) && is_string($value) ? $value : (string) $key;
                    $words[self::key($is)][$kind->value] = is_int($key) ? true : self::value($value);
                }
            }
        }

        return $words;
    }

    /** @return array<string, float> */
    private static function figures(mixed $map): array
    {
        $figures = [];
        foreach (is_array($map) ? $map : [] as $word => $figure) {
            if (is_int($figure) || is_float($figure)) {
                $figures[(string) $word] = (float) $figure;
            }
        }

        return $figures;
    }

    private static function file(string $language): string
    {
        return dirname(__DIR__, 3)."/data/lexicons/$language.json";
    }

    /** @return array<array-key, mixed> */
    private static function json(string $text): array
    {
        $all = json_decode($text, true, flags: JSON_THROW_ON_ERROR);

        return is_array($all) ? $all : [];
    }

    private static function value(mixed $value): float|string|true
    {
        return match (true) {
            is_string($value) => $value,
            is_int($value), is_float($value) => (float) $value,
            default => true,
        };
    }

    /** Several words as they are looked up: in small letters, one space between them, no signs. */
    private static function key(string $words): string
    {
        $lower = mb_strtolower($words);
        if (preg_match('/^[a-z]+(?: [a-z]+)*$/D', $lower) === 1) {
            return $lower;
        }
        $tokens = Lexer::tokens($lower);
        $plain = array_filter(
            array_map(static fn (Token $t): string => $t->word, $tokens),
            static fn (string $w): bool => $w !== '',
        );

        return $plain === [] ? $tokens[0]->text ?? '' : implode(' ', $plain);
    }
}
