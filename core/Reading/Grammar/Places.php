<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Internal\Row;

/** Where in the pasted text the words of its rows stand. */
final readonly class Places
{
    /** @var list<string> by row of the source: what of it stands in the pasted text */
    private array $shown;

    /** @var list<int> by row of the source: characters of the text before it */
    private array $starts;

    /**
     * @param  list<Row>  $rows of the source, each with the characters before it, -1 in a page
     * @param  array<int, string>  $listed rows as they were read, which a table has made otherwise
     */
    public function __construct(private string $text, array $rows, private array $listed)
    {
        $shown = $starts = [];
        $from = 0;
        foreach ($rows as $row) {
            $start = $row->of >= 0 ? $row->of : $from;
            $end = $row->of >= 0 ? mb_strpos($text."\n", "\n", $start) : false;
            $at = mb_strpos($text, $row->text, $start);
            $inside = $at !== false && ($end === false || $at < $end);
            $starts[] = $inside ? $at : $start;
            $shown[] = match (true) {
                $inside => $row->text,
                $end !== false => rtrim(mb_substr($text, $start, $end - $start)),
                default => '',
            };
            $from = $inside ? $at + mb_strlen($row->text) : $from;
        }
        $this->shown = $shown;
        $this->starts = $starts;
    }

    /** A row as it was pasted; as it was read, where it does not stand in the text so. */
    public function row(int $row): string
    {
        $shown = $this->shown[$row] ?? '';

        return $shown !== '' ? $shown : $this->listed[$row] ?? '';
    }

    /**
     * Where some words of a row stand.
     *
     * @param  int  $at characters of the row, as it was read, before them
     * @param  int  $after of the pasted text, before which they stand only where they stand nowhere else
     * @return array{int, int}|null characters of the text before them, and up to their last; null where they are not
     *     found
     */
    public function of(int $row, int $at, string $words, int $after = 0): ?array
    {
        $shown = $this->shown[$row] ?? '';
        if ($shown === '' || $words === '') {
            return null;
        }
        $start = $this->starts[$row];
        if (mb_substr($shown, $at, mb_strlen($words)) !== $words || ($this->listed[$row] ?? $shown) !== $shown) {
            $found = mb_strpos($shown, $words, max(0, min($after - $start, mb_strlen($shown))));
            $at = $found === false ? mb_strpos($shown, $words) : $found;
        }

        return $at === false ? null : [$start + $at, $start + $at + mb_strlen($words)];
    }

    /**
     * Words and figures of rows that were not read as they stand: prices, columns of a table, what is struck out.
     *
     * @return list<array{int, int}> characters before each, and up to its last
     */
    public function inChangedRows(): array
    {
        $found = [];
        foreach ($this->shown as $row => $shown) {
            if (($this->listed[$row] ?? '') === $shown
                || preg_match_all('/\p{L}+|\d+(?:\.\d+)?/u', $shown, $m, PREG_OFFSET_CAPTURE) < 1) {
                continue;
            }
            foreach ($m[0] as [$words, $bytes]) {
                $at = $this->starts[$row] + mb_strlen(substr($shown, 0, $bytes));
                $found[] = [$at, $at + mb_strlen($words)];
            }
        }

        return $found;
    }

    /** @return array{int, int}|null where some words stand anywhere in the text, in whatever letters */
    public function anywhere(string $words): ?array
    {
        $at = $words === '' ? false : mb_stripos($this->text, $words);

        return $at === false ? null : [$at, $at + mb_strlen($words)];
    }

    public function text(int $from, int $to): string
    {
        return mb_substr($this->text, $from, $to - $from);
    }
}
