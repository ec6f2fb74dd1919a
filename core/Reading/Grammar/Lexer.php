<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Catalogue\Name;

/** Takes a row apart into words, figures and signs. */
final class Lexer
{
    private const FRACTIONS = [
        '½' => 1 / 2, '⅓' => 1 / 3, '⅔' => 2 / 3, '¼' => 1 / 4, '¾' => 3 / 4, '⅛' => 1 / 8, '⅜' => 3 / 8,
        '⅝' => 5 / 8, '⅞' => 7 / 8, '⅕' => 1 / 5, '⅖' => 2 / 5, '⅗' => 3 / 5, '⅘' => 4 / 5, '⅙' => 1 / 6,
    ];

    /** Figures as wide as the letters of other scripts. */
    private const WIDE = ['０' => '0', '１' => '1', '２' => '2', '３' => '3', '４' => '4', '５' => '5', '６' => '6',
        '７' => '7', '８' => '8', '９' => '9', '．' => '.', '％' => '%'];

    /** Stands between the halves of a word that was cut at the end of a row. */
    public const JOINED = "\u{AD}";

    /** Spaces, emphasis and quotation marks mean nothing. */
    private const NOTHING = ['', "\u{20e3}", '*', '_', '`', '"', '“', '”', '„', '«', '»', '•',
        "\u{00a0}", '†', '✓', '✔',
        "\u{fe0f}", '40/42', "\u{200d}"];

    /** Blocks, stars and ticks; a cross refuses what stands behind it. */
    private const DRAWN = '/^(?![✗✘❌❎])[\x{2500}-\x{27BF}]$/u';

    private const TOKEN = '/
        (?<date>(?<!\d)
            (?:(?:0?[1-9]|1[0-2])[\/.]\d{1,2}|\d{1,2}[\/.](?:0?[1-9]|1[0-2]))[\/.](?:\d{4}|\d{2})(?!\d))  # 12.03.26
        |(?<figure>
            (?<![\p{L}\d])[lI][\dO]+(?=\s?\p{L}+\b)(?!\p{L}{4})|(?<![\p{L}\d])\d+O+(?=\s?\p{L}+\b)      # l00 g, 5O g
            |(?<![\d\/])(?:\d+[\/⁄]\d+|(?:1\s[\/⁄]\s[2-9]|[23]\s[\/⁄]\s[34])(?!\s?[\/⁄]))
                (?![\d\/]|\.\d) (?:\s*(?:st|nd|rd|th)\b)?          # 1\/2
            |(?:\d{1,3}(?:,\d{3})+(?:\.\d+)?(?!\d)|\d+(?:[.,]\d+)?|(?<![^\s(=~<>≤≈])[.,]\d+)  # 1,000  0,5  .5
            |[½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙]
        )
        |(?<glued>(?<=\d)\p{L}{1,4}(?=-\p{L}))                            # 60g-shea
        |(?<with>\bw\/(?=\s|\p{L}))                                  # w\/ for with
        |(?<elided>\b(?:[dlnjsDLNJS]|[Qq]u)[\'’](?=\p{L}))                 # d\'huile
        |(?<dotted>\p{L}\.(?:\s?\p{L}\.)+|\p{L}\.\p{L}\b\.?)                # E.O., q.s.
        |(?<named>\b(?!x)\p{L}{1,3}\d{1,3}\b(?![.,]\d))                # CO2, B5
        |(?<word>\p{L}[\p{L}\p{M}]*(?:(?:[\'’\-]|-\x{AD})\p{L}[\p{L}\p{M}]*)*)
        |(?<sign>.)
    /xus';

    /** @return list<Token> */
    public static function tokens(string $row): array
    {
        // A curly sign that stands in no word is a quotation mark.
        $row = preg_replace('/(?<!\p{L})[‘’]|[‘’](?!\p{L})/u', '"', $row) ?? $row;
        $row = strtr($row, self::WIDE);
        preg_match_all(self::TOKEN, $row, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
        $ascii = strlen($row) === mb_strlen($row);
        $tokens = [];
        $end = 0;
        foreach ($found as $m) {
            [$text, $bytes] = $m[0];
            if (in_array(trim((string) $text), self::NOTHING, true) || preg_match(self::DRAWN, (string) $text) === 1) {
                continue;
            }
            $start = $ascii ? $bytes : mb_strlen(substr($row, 0, $bytes));
            $length = $ascii ? strlen((string) $text) : mb_strlen((string) $text);
            $text = str_replace('-'.self::JOINED, '', (string) $text);
            $tokens[] = new Token(
                $text,
                self::meant($m, $text),
                $start,
                $start + $length,
                self::number($m['figure'][0] ?? ''),
                $start === $end && $start > 0,
            );
            $end = $start + $length;
        }

        return $tokens;
    }

    /** @param  array<int|string, array{string|null, int}>  $m what was found */
    private static function meant(array $m, string $text): string
    {
        $other = $m['glued'][0] ?? $m['named'][0] ?? $m['elided'][0] ?? $m['dotted'][0] ?? '';

        return isset($m['with'][0]) ? 'with' : self::word(isset($m['word'][0]) ? $text : $other);
    }

    /** A word as words are compared. */
    public static function word(string $text): string
    {
        $lower = mb_strtolower(str_replace(['’', '.'], ["'", ''], $text));
        $plain = Name::inAscii($lower);

        return rtrim(preg_replace('/\s+/', '', $plain) ?? $plain, "'");
    }

    private static function number(string $figure): ?float
    {
        if ($figure === '') {
            return null;
        }
        $figure = strtr($figure, ['l' => '1', 'I' => '1', 'O' => '0']);
        if (isset(self::FRACTIONS[$figure])) {
            return self::FRACTIONS[$figure];
        }
        if (preg_match('/^(\d+)\s?[\/⁄]\s?(\d+)/u', $figure, $m) === 1) {
            return (float) $m[2] > 0.0 ? (float) $m[1] / (float) $m[2] : null;
        }

        return preg_match('/^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/', $figure) === 1
            ? (float) str_replace(',', '', $figure)
            : (float) str_replace(',', '.', $figure);
    }
}
