<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Catalogue\Name;
use Crown\Json\KeptAsPhp;
use RuntimeException;

/**
 * The words of each language by kind, from data/lexicons. A caller with many short processes may keep them as PHP
 * (`compiled`, `keepIn`): opcache holds such a file in memory that all of them share, and they cost nothing to open.
 */
final class Lexicons
{
    /** @var array<string, array<string, array<string, float|string|true>>> by language and word: kind to value */
    private static array $read = [];

    /** @var array<string, array<string, float>> by language: figure by word, as it is written */
    private static array $numbers = [];

    private static ?string $file = null;

    /** The file that a caller has written with `compiled`; it is used while it is as new as the lexicons. */
    public static function keepIn(string $file): void
    {
        self::$file = $file;
    }

    /**
     * @return array<string, array<string, float|string|true>> by a word or several: kind to value
     *
     * @throws RuntimeException where the language's file has no words by kind
     */
    public static function of(string $language): array
    {
        if (self::$read === []) {
            self::$read = self::kept()['words'] ?? [];
        }

        return self::$read[$language] ??= self::fromFile($language);
    }

    /** @return array<string, float> the number words of a language, as they are written there */
    public static function numbers(string $language): array
    {
        if (self::$numbers === []) {
            self::$numbers = self::kept()['numbers'] ?? [];
        }

        return self::$numbers[$language] ??= self::figures($language);
    }

    /** All languages as PHP to be included. */
    public static function compiled(): string
    {
        $all = ['words' => [], 'numbers' => []];
        foreach (Vocabulary::LANGUAGES as $language) {
            $all['words'][$language] = self::fromFile($language);
            $all['numbers'][$language] = self::figures($language);
        }

        return KeptAsPhp::written($all, array_map(self::path(...), Vocabulary::LANGUAGES));
    }

    /**
     * @return array{
     *     words?: array<string, array<string, array<string, float|string|true>>>,
     *     numbers?: array<string, array<string, float>>,
     * }
     */
    private static function kept(): array
    {
        /**
         * @var array{
         *     words: array<string, array<string, array<string, float|string|true>>>,
         *     numbers: array<string, array<string, float>>,
         * }|null $kept
         */
        $kept = KeptAsPhp::read(self::$file);

        return $kept ?? [];
    }

    /** @return array<string, array<string, float|string|true>> */
    private static function fromFile(string $language): array
    {
        $all = self::json(Name::inAscii((string) file_get_contents(self::path($language))));
        if (! is_array($all['kinds'] ?? null)) {
            throw new RuntimeException("$language.json: no words by kind");
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
    private static function figures(string $language): array
    {
        $map = self::json((string) file_get_contents(self::path($language)))['numbers'] ?? [];
        $figures = [];
        foreach (is_array($map) ? $map : [] as $word => $figure) {
            if (is_int($figure) || is_float($figure)) {
                $figures[(string) $word] = (float) $figure;
            }
        }

        return $figures;
    }

    private static function path(string $language): string
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
