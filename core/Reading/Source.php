<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Reading\Internal\Row;

/**
 * A pasted text as rows of plain words: mark-up, entities, pictures, quoting and hidden signs taken off. Cells of a
 * table stay apart, with a tab between.
 */
final readonly class Source
{
    private const HIDDEN = '/
        [\x00-\x08\x0b\x0c\x0e-\x1f\x{200b}-\x{200f}\x{202a}-\x{202e}\x{2066}-\x{2069}\x{feff}]
    /xu';

    /** Looks like a page rather than a text. */
    private const MARKUP = '/
        <(?:\/?(?:s|del|strike|p|div|br|table|tbody|thead|tr|td|th|li|ul|ol|h[1-6]|span|strong|em|b|i))\b[^>]*>
    /xiu';

    /** @var list<string> none of them empty */
    public array $rows;

    /** @param  list<Row>  $placed each with the characters before it, -1 in a page */
    private function __construct(public array $placed)
    {
        $this->rows = array_map(static fn (Row $r): string => $r->text, $placed);
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
        $page = preg_match(self::MARKUP, $text) === 1;
        $rows = [];
        $parts = preg_split('/\R/u', $page ? self::unmarked($text) : $text, flags: PREG_SPLIT_OFFSET_CAPTURE) ?: [];
        foreach ($parts as [$written, $offset]) {
            $row = self::row($written);
            if ($row !== '') {
                $rows[] = new Row($row, $page ? -1 : mb_strlen(substr($text, 0, $offset)));
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

    /** A row without quoting, hidden signs and odd spaces; cells stay apart: only what stands around it goes. */
    public static function row(string $written): string
    {
        $row = preg_replace(self::HIDDEN, '', $written) ?? '';
        $row = str_replace(["\u{00a0}", "\u{202f}", "\u{2009}"], ' ', $row);
        $row = trim(preg_replace('/^(?:\s*>)+\s?/u', '', $row) ?? $row, " \r\n");

        return str_contains(trim($row), "\t") ? $row : trim($row);
    }

    private static function unmarked(string $text): string
    {
        $steps = [
            '/<(?:script|style)\b.*?<\/(?:script|style)>/isu' => ' ',
            // What is struck out is not there.
            '/<(s|del|strike)\b[^>]*>.*?<\/\1>/isu' => ' ',
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
