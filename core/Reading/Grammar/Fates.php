<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Asked;
use Crown\Reading\Fate;
use Crown\Reading\ReadAs;
use Crown\Reading\ReadLine;
use Crown\Reading\Span;

/**
 * What became of each word of a text: every token has one fate, by the phrase that took it, else by what its sentence
 * is. Words beside each other with the same fate are one span.
 */
final class Fates
{
    private const YOU_SAID = 'You said that nothing of it goes in.';

    private const COUNTS = 'It counts the rows.';

    private const LEFT_OUT = 'It may be left out.';

    private const ELSEWHERE = 'It tells of something else. Nothing goes in.';

    /** @var list<Span> */
    private array $spans = [];

    /** @var list<Span> */
    private array $unplaced = [];

    /** @var array<int, list<array{Item, int|null, ReadLine}>> by part: its items with the number of their line */
    private array $items = [];

    public function __construct(
        private readonly Text $text,
        private readonly Places $places,
        private readonly ReadAs $as,
    ) {
    }

    /**
     * @param  list<array{Entry, ReadLine, int|null}>  $lines what goes in, and the number of its line; null where the
     *     maker took it out
     */
    public function mark(array $lines): void
    {
        foreach ($lines as [$entry, $line, $number]) {
            $this->items[$entry->part][] = [$entry->item, $number, $line];
            foreach ($this->text->again as [$part, $item, $of]) {
                if ($of === $entry->item) {
                    $this->items[$part][] = [$item, $number, $line];
                }
            }
        }
        $step = 0;
        foreach ($this->text->parts as $n => $part) {
            $this->part($n, $part, $step);
            $step += count($part->steps);
        }
        $this->others();
    }

    /** What of a row was not read: a price, a column that says nothing of what goes in. */
    private function others(): void
    {
        $covered = [];
        foreach ($this->spans as $span) {
            for ($at = $span->start; $at < $span->end; $at++) {
                $covered[$at] = true;
            }
        }
        foreach ($this->places->inChangedRows() as [$from, $to]) {
            if (! isset($covered[$from])) {
                $this->spans[] = new Span($from, $to, Fate::Remark, $this->places->text($from, $to));
            }
        }
        usort($this->spans, static fn (Span $a, Span $b): int => $a->start <=> $b->start);
    }

    /** Words that stand anywhere in the text, and say something of it all: they count before what stands there. */
    public function anywhere(string $words, Fate $fate): void
    {
        $place = $this->places->anywhere($words);
        if ($place === null) {
            return;
        }
        [$from, $to] = $place;
        $kept = [];
        foreach ($this->spans as $span) {
            array_push($kept, ...$this->without($span, $from, $to));
        }
        $kept[] = new Span($from, $to, $fate, $this->places->text($from, $to));
        usort($kept, static fn (Span $a, Span $b): int => $a->start <=> $b->start);
        $this->spans = $kept;
        $this->unplaced = array_values(array_filter(
            $this->unplaced,
            static fn (Span $s): bool => $s->end <= $from || $s->start >= $to,
        ));
    }

    /** @return list<Span> in the order of the text, none over another */
    public function spans(): array
    {
        return $this->spans;
    }

    /** @return list<Span> figures that became nothing */
    public function unplaced(): array
    {
        return $this->unplaced;
    }

    /** @return list<Span> what is left of a span beside some characters */
    private function without(Span $span, int $from, int $to): array
    {
        if ($span->end <= $from || $span->start >= $to) {
            return [$span];
        }
        $left = [];
        foreach ([[$span->start, $from], [$to, $span->end]] as [$start, $end]) {
            $words = $start < $end ? $this->places->text($start, $end) : '';
            if (preg_match('/[\p{L}\p{N}](?:.*[\p{L}\p{N}%°)])?/su', $words, $m, PREG_OFFSET_CAPTURE) === 1) {
                $start += mb_strlen(substr($words, 0, $m[0][1]));
                $end = $start + mb_strlen($m[0][0]);
                $left[] = new Span($start, $end, $span->fate, $m[0][0], $span->of, $span->why);
            }
        }

        return $left;
    }

    /** @param  int  $steps before it */
    private function part(int $n, Part $part, int $steps): void
    {
        $fates = $this->fates($n, $part, $steps);
        $run = [];
        foreach ($part->sentence->chart->tokens as $place => $token) {
            $fate = $fates[$place];
            $isNext = $run !== [] && self::isSame($fates[$run[0]], $fate);
            if (! $isNext) {
                $this->span($part->sentence, $run, $fates);
                $run = [];
            }
            $run[] = $place;
        }
        $this->span($part->sentence, $run, $fates);
    }

    /**
     * @param  array{Fate|null, int|null, string}  $one
     * @param  array{Fate|null, int|null, string}  $other
     */
    private static function isSame(array $one, array $other): bool
    {
        return $one === $other && $one[0] !== null;
    }

    /**
     * @param  list<int>  $run tokens beside each other with the same fate
     * @param  array<int, array{Fate|null, int|null, string}>  $fates
     */
    private function span(Sentence $sentence, array $run, array $fates): void
    {
        [$fate, $of, $why] = $run === [] ? [null, null, ''] : $fates[$run[0]];
        $tokens = $sentence->chart->tokens;
        // A sign at its end is no word of it: but "35 %", "(fresh)".
        $isLong = $fate !== Fate::Title;
        while ($run !== [] && ! self::isSaid($tokens[$run[count($run) - 1]], $isLong && count($run) > 1)) {
            array_pop($run);
        }
        while ($run !== [] && ! self::isSaid($tokens[$run[0]], false)) {
            array_shift($run);
        }
        if ($run === [] || $fate === null) {
            return;
        }
        foreach ($this->pieces($sentence, $run) as [$from, $to]) {
            $span = new Span($from, $to, $fate, $this->places->text($from, $to), $of, $why);
            $this->spans[] = $span;
            if ($fate === Fate::Unplaced) {
                $this->unplaced[] = $span;
            }
        }
    }

    private static function isSaid(Token $token, bool $isLast): bool
    {
        return $token->isWord() || $token->number !== null
            || preg_match($isLast ? '/[\p{L}\p{N}%°)]/u' : '/[\p{L}\p{N}]/u', $token->text) === 1;
    }

    /**
     * Where a run of tokens stands in the pasted text: in one piece, or in several where its row was made otherwise.
     *
     * @param  non-empty-list<int>  $run
     * @return list<array{int, int}>
     */
    private function pieces(Sentence $sentence, array $run): array
    {
        $tokens = $sentence->chart->tokens;
        $from = $tokens[$run[0]]->start;
        $to = $tokens[$run[count($run) - 1]]->end;
        [$row, $at] = $sentence->placeOf($from);
        [$last] = $sentence->placeOf($to - 1);
        $after = $this->spans === [] ? 0 : $this->spans[count($this->spans) - 1]->end;
        $whole = $row === $last
            ? $this->places->of($row, $at, mb_substr($sentence->text, $from, $to - $from), $after) : null;
        if ($whole !== null || count($run) === 1) {
            return $whole === null ? [] : [$whole];
        }
        $pieces = [];
        foreach ($run as $place) {
            [$row, $at] = $sentence->placeOf($tokens[$place]->start);
            $piece = $this->places->of($row, $at, $tokens[$place]->text, $after);
            $before = $pieces[count($pieces) - 1] ?? null;
            $goesOn = $piece !== null && $before !== null && $piece[0] >= $before[1]
                && trim($this->places->text($before[1], $piece[0])) === '';
            if ($goesOn) {
                array_pop($pieces);
            }
            if ($piece !== null) {
                $pieces[] = $goesOn ? [$before[0], $piece[1]] : $piece;
            }
        }

        return $pieces;
    }

    /**
     * @param  int  $steps before it
     * @return array<int, array{Fate|null, int|null, string}> by token: its fate, its line or step, and why
     */
    private function fates(int $n, Part $part, int $steps): array
    {
        $chart = $part->sentence->chart;
        $of = array_fill(0, $chart->length, [null, null, '']);
        foreach (array_keys($of) as $place) {
            $of[$place] = $this->rest($place, $part, $steps);
        }
        $taken = $part->role === Role::Content || $part->role === Role::Use ? $part->sentence->cover->taken : [];
        foreach ($taken as [$from, $found]) {
            $this->asides($from, $found, $part, $of);
        }
        foreach ($taken as [$from, $found]) {
            $isOut = array_filter($found->items, static fn (Item $i): bool => $i->out) !== [];
            self::paint($of, $from, $isOut ? $found->to : $from, [Fate::Negated, null, '']);
        }
        foreach ($this->items[$n] ?? [] as [$item, $number, $line]) {
            // What nobody knows stands in no phrase.
            $this->named($item, $number, $line, $chart, $of);
        }
        $this->optional($chart, $of);
        $this->left($n, $part, $of);

        return $this->between($of, $chart);
    }

    /** @return array{Fate|null, int|null, string} what a token is that no phrase took */
    private function rest(int $place, Part $part, int $steps): array
    {
        $step = $part->stepAt($place);
        if ($step !== null) {
            return [Fate::Step, $steps + (int) array_search($step, $part->steps, true) + 1, ''];
        }
        $chart = $part->sentence->chart;
        $counts = $place < 2 && $chart->tokens[0]->number !== null && $chart->isSign(1, '.', ')');

        return match ($part->role) {
            Role::Title => [Fate::Title, null, ''],
            Role::Heading => [Fate::Heading, null, ''],
            Role::Size => [Fate::Size, null, ''],
            Role::Elsewhere => [Fate::Remark, null, self::ELSEWHERE],
            default => [Fate::Remark, null, $counts ? self::COUNTS : ''],
        };
    }

    /** @param  array<int, array{Fate|null, int|null, string}>  $of */
    private function asides(int $from, Found $found, Part $part, array &$of): void
    {
        $fate = $found->aside?->fate;
        // A step keeps what only says something of it.
        if ($fate === null || ($fate === Fate::Remark && $part->steps !== [])) {
            return;
        }
        for ($place = $from; $place < $found->to; $place++) {
            $isStep = $of[$place][0] === Fate::Step;
            $of[$place] = [$fate, $isStep ? $of[$place][1] : null, ''];
        }
    }

    /**
     * An item with its amount, its name, its state and what may take its place.
     *
     * @param  array<int, array{Fate|null, int|null, string}>  $of
     */
    private function named(Item $item, ?int $number, ReadLine $line, Chart $chart, array &$of): void
    {
        if ($number === null) {
            self::paint($of, $item->name->from, $item->name->to, [Fate::Remark, null, self::YOU_SAID]);

            return;
        }
        $asked = $line->doubts[Asked::Ingredient->value] ?? '';
        self::paint($of, $item->name->from, $item->name->to, [Fate::Name, $number, $asked]);
        for ($place = $item->name->from; $line->form !== '' && $place < $item->name->to; $place++) {
            if ($chart->is($place, Kind::Form)) {
                self::paint($of, $place, $chart->past($place, Kind::Form), [Fate::Form, $number, '']);
            }
        }
        foreach ($item->choices as $choice) {
            $first = min($choice->name->from, $choice->amount->from ?? PHP_INT_MAX);
            self::paint($of, $first, $choice->name->to, [Fate::Alternative, $number, '']);
        }
        if ($item->amount !== null) {
            $why = $line->doubts[Asked::Amount->value] ?? '';
            self::paint($of, $item->amount->from, $item->amount->to, [Fate::Amount, $number, $why], Fate::Name);
        }
    }

    /**
     * @param  array<int, array{Fate|null, int|null, string}>  $of
     * @param  array{Fate|null, int|null, string}  $fate
     * @param  Fate|null  $over what it does not take the place of
     */
    private static function paint(array &$of, int $from, int $to, array $fate, ?Fate $over = null): void
    {
        for ($place = $from; $place < $to; $place++) {
            if (isset($of[$place]) && ($over === null || $of[$place][0] !== $over)) {
                $of[$place] = $fate;
            }
        }
    }

    /**
     * What leaves a thing open is of the line before it.
     *
     * @param  array<int, array{Fate|null, int|null, string}>  $of
     */
    private function optional(Chart $chart, array &$of): void
    {
        $line = null;
        for ($place = 0; $place < $chart->length; $place++) {
            $line = $of[$place][0] === Fate::Name ? $of[$place][1] : $line;
            if ($of[$place][0] === Fate::Remark && $chart->is($place, Kind::Optional)) {
                $to = $chart->past($place, Kind::Optional);
                self::paint($of, $place, $to, [Fate::Alternative, $line, self::LEFT_OUT]);
            }
        }
    }

    /**
     * Figures that nothing took; unless the maker said what they are.
     *
     * @param  array<int, array{Fate|null, int|null, string}>  $of
     */
    private function left(int $n, Part $part, array &$of): void
    {
        $weak = array_filter($this->text->weak, static fn (array $w): bool => $w[0] === $n);
        $figures = array_map(static fn (array $w): int => $w[1]->amount->from ?? 0, $weak);
        foreach ($part->counts() ? [...$part->sentence->figuresLeft($n === 0), ...$figures] : [] as $place) {
            if ($of[$place][0] === Fate::Step || $of[$place][0] === Fate::Remark) {
                $of[$place] = $this->figure($place, $part->sentence);
            }
        }
    }

    /** @return array{Fate, int|null, string} */
    private function figure(int $place, Sentence $sentence): array
    {
        $token = $sentence->chart->tokens[$place];
        [$row] = $sentence->placeOf($token->start);
        foreach ($this->as->in($this->places->row($row)) as $said) {
            if ($said->amount === $token->text) {
                return [Fate::Remark, null, $said->out ? self::YOU_SAID : ''];
            }
        }

        return [Fate::Unplaced, null, ''];
    }

    /**
     * Small words between an amount and its name are of the amount: "2 x 113 g tubs of"; others that nothing took and
     * that say nothing have no fate.
     *
     * @param  array<int, array{Fate|null, int|null, string}>  $of
     * @return array<int, array{Fate|null, int|null, string}>
     */
    private function between(array $of, Chart $chart): array
    {
        foreach ($of as $place => [$fate]) {
            if ($fate !== Fate::Remark) {
                continue;
            }
            $before = $of[$place - 1] ?? [null, null, ''];
            $next = $place;
            while (isset($of[$next]) && $of[$next][0] === Fate::Remark) {
                $next++;
            }
            $after = $of[$next] ?? [null, null, ''];
            $joins = $before[0] === Fate::Amount && ($after[0] === Fate::Name || $after[0] === Fate::Form)
                && $before[1] === $after[1];
            $isSmall = (! $chart->isWord($place) && $chart->tokens[$place]->number === null)
                || $chart->is($place, Kind::Stop, Kind::Of, Kind::Plus, Kind::Or);
            if ($joins && $next - $place <= 4) {
                $of[$place] = $before;
            } elseif ($isSmall && $before[0] !== Fate::Remark && $after[0] !== null && $next - $place <= 2) {
                $of[$place] = [null, null, ''];
            }
        }

        return $of;
    }
}
