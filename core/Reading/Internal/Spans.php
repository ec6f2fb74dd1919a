<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Reading\Fate;
use Crown\Reading\ReadLine;
use Crown\Reading\Span;

/**
 * Where in the pasted text the words stand that became something. A row has one fate, or its amounts and names have
 * each theirs. Words that were changed in reading ("sechzig Gramm") are found by their row.
 */
final class Spans
{
    /** @var list<Span> */
    private array $spans = [];

    /** @var array<int, int> by row of the source, up to where its words are taken */
    private array $taken = [];

    /** @var list<string> by row of the source: what of it is in the pasted text */
    private readonly array $shown;

    /** @var list<int> by row of the source: characters before it */
    private readonly array $starts;

    /** @param  list<Row>  $rows of the source, each within the text */
    public function __construct(string $text, array $rows)
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

    /** @return list<Span> in the order of the text */
    public function all(): array
    {
        $spans = $this->spans;
        usort($spans, static fn (Span $a, Span $b): int => [$a->start, $a->end] <=> [$b->start, $b->end]);

        return $spans;
    }

    /** A whole row. */
    public function row(int $row, Fate $fate, int $of = 0): true
    {
        $this->add($row, 0, $this->shown[$row] ?? '', $fate, $of);

        return true;
    }

    /** The amount and the name of a line; the row, where neither stands in it as it was read. */
    public function line(int $row, ReadLine $line, int $of): void
    {
        $found = $this->words($row, $line->amount, Fate::Amount, $of);
        $found = $this->words($row, $line->name, Fate::Name, $of) || $found;
        if (! $found) {
            $this->row($row, Fate::Name, $of);
        }
    }

    /** Words of a row that come after those that are taken; earlier ones when there are none. */
    public function words(int $row, string $words, Fate $fate, int $of = 0): bool
    {
        $shown = $this->shown[$row] ?? '';
        if ($words === '' || $shown === '') {
            return false;
        }
        $from = min($this->taken[$row] ?? 0, mb_strlen($shown));
        $at = mb_stripos($shown, $words, $from);
        $at = $at === false ? mb_stripos($shown, $words) : $at;
        if ($at === false) {
            return false;
        }
        $this->add($row, $at, mb_substr($shown, $at, mb_strlen($words)), $fate, $of);
        $this->taken[$row] = max($from, $fate === Fate::Unplaced ? 0 : $at);

        return true;
    }

    private function add(int $row, int $at, string $text, Fate $fate, int $of): void
    {
        $start = ($this->starts[$row] ?? 0) + $at;
        if ($text !== '') {
            $this->spans[] = new Span($start, $start + mb_strlen($text), $fate, $text, $of);
        }
    }
}
