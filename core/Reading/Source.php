<?php

declare(strict_types=1);

namespace Crown\Reading;

/**
 * A pasted text as rows of plain words: mark-up, entities, pictures, quoting and hidden signs taken off. Cells of a
 * table stay apart, with a tab between.
 */
final readonly class Source
{
    private const HIDDEN = '/[\x00-\x08\x0b\x0c\x0e-\x1f\x{200b}-\x{200f}\x{202a}-\x{202e}\x{2066}-\x{2069}\x{feff}]/u';

    /** Looks like a page rather than a text. */
    private const MARKUP = '/<(?:\/?(?:p|div|br|table|tbody|thead|tr|td|th|li|ul|ol|h[1-6]|span|strong|em|b'
        .'|i))\b[^>]*>/iu';

    /** @param  list<string>  $rows none of them empty */
    private function __construct(public array $rows)
    {
    }

    /** @throws ReadingError when the text is empty, too long, or not text */
    public static function of(string $text): self
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw ReadingError::notText();
        }
        if (mb_strlen($text) > RecipeReader::MOST_CHARACTERS) {
            throw ReadingError::tooLong(mb_strlen($text));
        }
        $text = preg_replace(self::HIDDEN, '', $text) ?? '';
        if (preg_match(self::MARKUP, $text) === 1) {
            $text = self::unmarked($text);
        }
        $text = str_replace(["\u{00a0}", "\u{202f}", "\u{2009}"], ' ', $text);
        $rows = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $row) {
            // Cells stay apart: only what stands around the row goes.
            $row = preg_replace('/^(?:\s*>)+\s?/u', '', $row) ?? $row;
            $row = trim($row, " \r\n");
            if (trim($row) !== '') {
                $rows[] = str_contains(trim($row), "\t") ? rtrim($row, ' ') : trim($row);
            }
        }
        if ($rows === []) {
            throw ReadingError::empty();
        }
        if (count($rows) > RecipeReader::MOST_LINES) {
            throw ReadingError::tooManyLines(count($rows));
        }

        return new self($rows);
    }

    private static function unmarked(string $text): string
    {
        $steps = [
            '/<(?:script|style)\b.*?<\/(?:script|style)>/isu' => ' ',
            '/\s*\R\s*/u' => ' ',
            '/<\/t[dh]>\s*/iu' => "\t",
            '/<(?:p|div|tr|li|h[1-6]|table|ul|ol)\b[^>]*>/iu' => "\n",
            '/<(?:br|\/p|\/div|\/tr|\/li|\/h[1-6]|\/table|\/ul|\/ol)\b[^>]*>/iu' => "\n",
            '/<[^>]{1,200}>/u' => '',
        ];
        foreach ($steps as $pattern => $by) {
            $text = preg_replace($pattern, $by, $text) ?? $text;
        }
        $rows = array_map(
            static fn (string $r): string => rtrim($r, " \t"),
            preg_split('/\n/u', html_entity_decode($text, ENT_QUOTES | ENT_HTML5, 'UTF-8')) ?: [],
        );

        return implode("\n", $rows);
    }
}
