<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Reading\Asked;
use Crown\Reading\Fate;
use Crown\Reading\ReadLine;
use Crown\Reading\Span;

/**
 * Where in the pasted text the words stand that became something. A row has one fate, or its amounts and names have
 * each theirs. Words that were changed in reading ("sechzig Gramm") are found as they were written.
 */
final class Spans
{
    private const FORMS = '/\b(?:melted|powder(?:ed)?|ground|dried|dry|fresh)\b/iu';

    /** @var list<Span> */
    private array $spans = [];

    /** @var array<int, Span> rows that became lines or steps, for what they leave over */
    private array $rests = [];

    /** @var array<int, list<Told>> by row of the source, its sentences in their order */
    private array $told = [];

    /** @var array<int, int> by row of the source, up to where its words are taken */
    private array $taken = [];

    /** @var list<string> by row of the source: what of it is in the pasted text */
    private readonly array $shown;

    /** @var list<int> by row of the source: characters before it */
    private readonly array $starts;

    /** @var non-empty-string what is a time */
    private readonly string $times;

    /** @var non-empty-string what is a temperature */
    private readonly string $heats;

    /** @var list<string> small words that need no fate of their own */
    private readonly array $linking;

    /** @param  list<Row>  $rows of the source, each within the text */
    public function __construct(string $text, array $rows, Plain $plain)
    {
        $this->times = $plain->times();
        $this->heats = $plain->heats();
        $this->linking = $plain->linking();
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

    /**
     * Every word once: where words have several fates, the narrowest counts, "10 minutes" within its step.
     *
     * @return list<Span> in the order of the text, none over another
     */
    public function all(): array
    {
        return (new Painted($this->spans, array_values($this->rests), $this->linking))->pieces();
    }

    /** @return list<Span> figures that became nothing, each whole */
    public function unplaced(): array
    {
        $spans = array_filter($this->spans, static fn (Span $s): bool => $s->fate === Fate::Unplaced);
        usort($spans, static fn (Span $a, Span $b): int => $a->start <=> $b->start);

        return $spans;
    }

    /** A row in plain words, by which its words are found as they were written. */
    public function say(int $row, Told $told): void
    {
        $this->told[$row][] = $told;
    }

    /** What of a row is in the pasted text. */
    public function shown(int $row): string
    {
        return $this->shown[$row] ?? '';
    }

    /** A whole row. */
    public function row(int $row, Fate $fate, ?int $of = null, string $why = ''): true
    {
        $this->add($row, 0, $this->shown[$row] ?? '', $fate, $of, $why);

        return true;
    }

    /** The amount and the name of a line; the row, where neither stands in it as it was read. */
    public function line(int $row, ReadLine $line, int $of): void
    {
        $found = $this->words($row, $line->writtenAmount, Fate::Amount, $of, $line->doubts[Asked::Amount->value] ?? '');
        $why = $line->doubts[Asked::Ingredient->value] ?? '';
        $found = $this->named($row, $line->name, Fate::Name, $of, $why) || $found;
        if (! $found) {
            $this->row($row, Fate::Name, $of, $why);
        }
        foreach ($line->choices as $choice) {
            $this->words($row, $choice->amount, Fate::Alternative, $of);
            $this->named($row, $choice->written, Fate::Alternative, $of, '');
        }
        if ($line->optional) {
            $this->within($row, Choices::OPEN, $this->shown[$row] ?? '', Fate::Alternative, $of, 'It may be left out.');
        }
        $this->within($row, self::FORMS, $line->form === '' ? '' : $line->name, Fate::Form, $of);
        $this->rests[$row] ??= new Span($this->starts[$row] ?? 0, 0, Fate::Remark, $this->shown[$row] ?? '', $of);
    }

    /** A name; the words that it has in the text, where "oil" is said only once for two. */
    private function named(int $row, string $name, Fate $fate, ?int $of, string $why): bool
    {
        return $this->words($row, $name, $fate, $of, $why)
            || $this->words($row, preg_replace('/\s+\S+$/u', '', $name) ?? '', $fate, $of, $why);
    }

    /** What is said of a line once more, in the method. */
    public function again(int $row, ReadLine $said, int $of): void
    {
        $this->words($row, $said->writtenAmount, Fate::Amount, $of);
        $this->words($row, $said->name, Fate::Name, $of);
    }

    /** A step where it stands in its row, with its times and temperatures; the row, where it was changed in reading. */
    public function step(int $row, Step $step, int $of): void
    {
        $found = $this->words($row, $step->text, Fate::Step, $of)
            || $this->words($row, rtrim($step->text, '.!;'), Fate::Step, $of);
        $words = $found ? $step->text : ($this->shown[$row] ?? '');
        if (! $found) {
            $this->row($row, Fate::Step, $of);
        }
        $this->within($row, $this->times, $words, Fate::Time, $of);
        $this->within($row, $this->heats, $words, Fate::Temperature, $of);
        $this->rests[$row] ??= new Span($this->starts[$row] ?? 0, 0, Fate::Remark, $this->shown[$row] ?? '', $of);
    }

    /** Words that stand anywhere in the text. */
    public function anywhere(string $words, Fate $fate, string $why = ''): void
    {
        foreach (array_keys($this->shown) as $row) {
            if ($words !== '' && $this->words($row, $words, $fate, null, $why)) {
                return;
            }
        }
    }

    /** Words of a row that come after those that are taken; earlier ones when there are none. */
    public function words(int $row, string $words, Fate $fate, ?int $of = null, string $why = ''): bool
    {
        $shown = $this->shown[$row] ?? '';
        if ($words === '' || $shown === '') {
            return false;
        }
        $from = min($this->taken[$row] ?? 0, mb_strlen($shown));
        $at = mb_stripos($shown, $words, $from);
        $at = $at === false ? mb_stripos($shown, $words) : $at;
        if ($at === false) {
            // In plain words it may be called otherwise: "sechzig Gramm" is "60 g".
            foreach ($this->told[$row] ?? [] as $told) {
                $written = $told->written($words);
                if ($written !== '' && mb_stripos($shown, $written) !== false) {
                    return $this->words($row, $written, $fate, $of, $why);
                }
            }

            return false;
        }
        $this->add($row, $at, mb_substr($shown, $at, mb_strlen($words)), $fate, $of, $why);
        $this->taken[$row] = max($from, $at);

        return true;
    }

    /** A figure that nothing took, where no amount stands; the row, where it was changed in reading. */
    public function figure(int $row, string $figure, Fate $fate, string $why = ''): void
    {
        $shown = $this->shown[$row] ?? '';
        preg_match_all('/(?<![\d.,])'.preg_quote($figure, '/').'(?!\d)/u', $shown, $m, PREG_OFFSET_CAPTURE);
        foreach ($m[0] as [$found, $bytes]) {
            $at = mb_strlen(substr($shown, 0, $bytes));
            if (! $this->isAmount(($this->starts[$row] ?? 0) + $at)) {
                $this->add($row, $at, $found, $fate, null, $why);

                return;
            }
        }
        $this->row($row, $fate, null, $why);
    }

    private function isAmount(int $place): bool
    {
        foreach ($this->spans as $span) {
            if ($span->fate === Fate::Amount && $span->start <= $place && $place < $span->end) {
                return true;
            }
        }

        return false;
    }

    /** What a pattern finds in words of a row. */
    private function within(int $row, string $pattern, string $words, Fate $fate, ?int $of, string $why = ''): void
    {
        $shown = $this->shown[$row] ?? '';
        $at = $words === '' ? false : mb_stripos($shown, $words);
        if ($at === false || preg_match_all($pattern, $words, $m, PREG_OFFSET_CAPTURE) < 1) {
            return;
        }
        foreach ($m[0] as [$found, $bytes]) {
            $bare = preg_replace('/^[\s,(–—-]+/u', '', $found) ?? $found;
            $before = mb_strlen(substr($words, 0, $bytes)) + mb_strlen($found) - mb_strlen($bare);
            $this->add($row, $at + $before, rtrim($bare, ' ).!'), $fate, $of, $why);
        }
    }

    private function add(int $row, int $at, string $text, Fate $fate, ?int $of, string $why): void
    {
        $start = ($this->starts[$row] ?? 0) + $at;
        if ($text !== '') {
            $this->spans[] = new Span($start, $start + mb_strlen($text), $fate, $text, $of, $why);
        }
    }
}
