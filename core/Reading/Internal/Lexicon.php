<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use JsonException;
use RuntimeException;

/**
 * Words of one language that a recipe is made of besides its ingredients: numbers, units, times, acts, and the small
 * words between them. One file a language in data/lexicons; the format is in docs/methods/reading.md.
 */
final readonly class Lexicon
{
    public const LANGUAGES = ['en', 'de', 'fr', 'es', 'pt', 'it', 'nl'];

    private const PHRASES = [
        'of', 'and', 'fill', 'equal', 'each', 'correct', 'not', 'degrees', 'half', 'articles', 'words', 'or',
    ];

    /** Different words of a language from which a text is taken to be written in it. */
    private const SPOKEN = 2;

    /**
     * @param  array<string, float>  $numbers
     * @param  array<string, float>  $fractions "third" is 0.333
     * @param  array<string, string>  $units to the words that amounts are read by: "eetlepel" is "tbsp"
     * @param  array<string, string>  $times to "minutes", "hours" …
     * @param  array<string, string>  $acts to the English verb: "fondre" is "melt"
     * @param  array<string, string>  $forms to dried, fresh, powder, melted
     * @param  array<string, list<string>>  $phrases "of", "and", "fill", "equal", "each", "correct", "not", "degrees",
     *     "half", "articles", "words", "or"
     */
    private function __construct(
        public string $language,
        public array $numbers,
        public array $fractions,
        public array $units,
        public array $times,
        public array $acts,
        public array $forms,
        public array $phrases,
    ) {
    }

    /**
     * The languages that a text is written in, English among them always, the most spoken of the others first.
     *
     * @return non-empty-list<self>
     */
    public static function of(string $text): array
    {
        $words = array_fill_keys(self::words($text), true);
        $spoken = [];
        foreach (self::all() as $language => $lexicon) {
            $hits = count(array_intersect_key(self::telling($language), $words));
            if ($hits >= self::SPOKEN) {
                $spoken[] = [$hits, $lexicon];
            }
        }
        usort($spoken, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return [self::all()['en'], ...array_column(array_slice($spoken, 0, 1), 1)];
    }

    /** @return array<string, int> words by which a language is told, which English has not */
    private static function telling(string $language): array
    {
        /** @var array<string, array<string, int>> $telling */
        static $telling = [];
        $lexicon = self::all()[$language];

        return $telling[$language] ??= array_flip(array_diff([
            ...array_keys($lexicon->units),
            ...array_keys($lexicon->acts),
            ...array_keys($lexicon->numbers),
            ...$lexicon->phrases['words'],
            ...$lexicon->phrases['of'],
        ], self::english()));
    }

    /** @return list<string> words in small letters */
    private static function words(string $text): array
    {
        return preg_match_all('/\p{L}[\p{L}\p{M}]*/u', mb_strtolower($text), $m) === false ? [] : $m[0];
    }

    /** @return list<string> */
    private static function english(): array
    {
        $en = self::all()['en'];

        return [...array_keys($en->units), ...array_keys($en->numbers), ...$en->phrases['words'], 'a', 'd', 'as'];
    }

    /** @return array<string, self> by language */
    private static function all(): array
    {
        /** @var array<string, self> $all */
        static $all = [];
        foreach ($all === [] ? self::LANGUAGES : [] as $language) {
            $all[$language] = self::read(dirname(__DIR__, 3)."/data/lexicons/$language.json");
        }

        return $all;
    }

    private static function read(string $file): self
    {
        try {
            $all = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new RuntimeException("$file: ".$e->getMessage());
        }
        $all = is_array($all) ? $all : [];
        $map = static fn (string $key): array => self::texts($all[$key] ?? []);
        $figures = static fn (string $key): array => self::figures($all[$key] ?? []);
        $phrases = [];
        foreach (self::PHRASES as $key) {
            $phrases[$key] = array_values($map($key));
        }

        return new self(
            is_string($all['language'] ?? null) ? $all['language'] : '',
            $figures('numbers'),
            $figures('fractions'),
            $map('units'),
            $map('times'),
            $map('acts'),
            $map('forms'),
            $phrases,
        );
    }

    /** @return array<string, string> */
    private static function texts(mixed $map): array
    {
        $texts = [];
        foreach (is_array($map) ? $map : [] as $key => $text) {
            if (is_string($text)) {
                $texts[(string) $key] = $text;
            }
        }

        return $texts;
    }

    /** @return array<string, float> */
    private static function figures(mixed $map): array
    {
        $figures = [];
        foreach (is_array($map) ? $map : [] as $key => $figure) {
            if (is_int($figure) || is_float($figure)) {
                $figures[(string) $key] = (float) $figure;
            }
        }

        return $figures;
    }
}
