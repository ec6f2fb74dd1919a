<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Normalizer;

/** Names as people write them, made alike. */
final class Name
{
    /** Endings of words that are no plural: "moss", "citrus", "iris". */
    private const SINGULAR = '/(?:ss|us|is)$/';

    /** Letters up to which an s at the end is left: "peas" would become "pea", but so would "gas" become "ga". */
    private const SHORT = 4;

    /** First words of names that are written with a capital wherever they stand: of places, peoples and saints. */
    private const PROPER = [
        'Abyssinian',
        'African',
        'Atlas',
        'Brazil',
        'German',
        'Indian',
        'Japan',
        'Roman',
        'Scots',
        'St',
        'West',
    ];

    /** A word that stands for others, or for a number of them: "PEG-40", "BTMS", "D-panthenol", "1,2-Hexanediol". */
    private const SHORT_FOR = '/^(?:\p{Lu}{2}|\p{Lu}-|\d)/u';

    /** Letters and signs that are no plain one with a mark. */
    private const LIGATURES = [
        'ß' => 'ss', 'ẞ' => 'SS', 'æ' => 'ae', 'Æ' => 'AE', 'œ' => 'oe', 'Œ' => 'OE', 'ø' => 'o', 'Ø' => 'O',
        'ł' => 'l', 'Ł' => 'L', 'đ' => 'd', 'Đ' => 'D', 'ð' => 'd', 'Ð' => 'D', 'þ' => 'th', 'Þ' => 'TH', 'ı' => 'i',
        '‘' => "'", '’' => "'", '–' => '-', '‐' => '-', '‑' => '-', '…' => '...',
    ];

    /** Lower case, no accents, no punctuation, singular, "oil" and the like kept: they tell an oil from a butter. */
    public static function normalised(string $name): string
    {
        // A name of any script may come in: what is not Latin is left out, not guessed at.
        $plain = preg_replace("/['’`]/u", '', mb_strtolower(self::inAscii($name))) ?? '';
        $plain = trim(preg_replace('/[^a-z0-9]+/', ' ', $plain) ?? '');

        return implode(' ', array_map(self::singular(...), explode(' ', $plain)));
    }

    /** A text with its Latin letters made plain: "Bübchen" is "Bubchen", "bœuf" "boeuf". */
    public static function inAscii(string $text): string
    {
        if (preg_match('/[^\x00-\x7f]/', $text) !== 1) {
            return $text;
        }
        // A transliterator of ICU would do it as well, and takes 40 ms to make in every request.
        $apart = Normalizer::normalize(strtr($text, self::LIGATURES), Normalizer::FORM_D);

        return is_string($apart) ? preg_replace('/\p{Mn}+/u', '', $apart) ?? $text : $text;
    }

    /** Whether a word, or several, stand in a name as whole words; no word stands in any. */
    public static function mentions(string $name, string $words): bool
    {
        $wanted = self::normalised($words);

        return $wanted !== '' && preg_match('/\b'.preg_quote($wanted, '/').'\b/', self::normalised($name)) === 1;
    }

    /** As it stands inside a sentence: "shea butter", but "St John's wort", "PEG-40 castor oil" and "vitamin E". */
    public static function inSentence(string $name): string
    {
        $first = strtok($name, ' ');
        $keeps = $first === false || in_array($first, self::PROPER, true) || preg_match(self::SHORT_FOR, $first) === 1;

        return $keeps ? $name : mb_strtolower(mb_substr($name, 0, 1)).mb_substr($name, 1);
    }

    private static function singular(string $word): string
    {
        return strlen($word) > self::SHORT && preg_match(self::SINGULAR, $word) !== 1 ? rtrim($word, 's') : $word;
    }
}
