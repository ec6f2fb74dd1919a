<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

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

    public static function english(): self
    {
        /** @var self|null $english */
        static $english = null;

        return $english ??= new self(Lexicons::of('en'), ['en']);
    }

    public static function of(string $text): self
    {
        $languages = ['en', ...self::spoken($text)];
        $words = [];
        // English last: where two languages claim a word, hers is it that the text speaks first.
        foreach (array_reverse($languages) as $language) {
            foreach (Lexicons::of($language) as $word => $kinds) {
                $words[$word] = $kinds + ($words[$word] ?? []);
            }
        }

        // "Cc" is a spoon in French: a measure is meant in the language of the text.
        foreach (isset($languages[1]) ? Lexicons::of($languages[1]) : [] as $word => $kinds) {
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
        $english = Lexicons::of('en');
        $foreign = array_filter($words, static fn (string $w): bool => ! isset($english[$w]));
        $best = ['', 0];
        foreach (array_slice(self::LANGUAGES, 1) as $language) {
            $known = Lexicons::of($language);
            $hits = count(array_filter($foreign, static fn (string $w): bool => isset($known[$w]) && strlen($w) > 1));
            $best = $hits > $best[1] ? [$language, $hits] : $best;
        }
        $isSpoken = $best[1] >= self::SPOKEN || ($best[1] > 0 && count($words) <= self::SHORT);

        return $isSpoken ? [$best[0]] : [];
    }
}
