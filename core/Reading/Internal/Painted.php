<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Reading\Fate;
use Crown\Reading\Span;

/**
 * Spans that lie over each other, made into pieces that do not: the narrowest counts. What a row of a list leaves over
 * is a part of its amount where it has a figure ("2 x 113 g tubs of"), and a remark where it has a word.
 */
final readonly class Painted
{
    private const FIGURE = '/[\d½⅓⅔¼¾⅛]/u';

    /** @var list<Span> the widest first, so that the narrower lie over them */
    private array $spans;

    /**
     * @param  list<Span>  $spans
     * @param  list<Span>  $rests rows whose words all count
     * @param  list<string>  $linking small words that need no fate of their own
     */
    public function __construct(array $spans, private array $rests, private array $linking)
    {
        usort($spans, static fn (Span $a, Span $b): int => ($b->end - $b->start) <=> ($a->end - $a->start));
        $this->spans = $spans;
    }

    /** @return list<Span> in the order of the text */
    public function pieces(): array
    {
        $owners = $this->owners();
        $pieces = [...$this->cut($owners), ...$this->left($owners)];
        usort($pieces, static fn (Span $a, Span $b): int => $a->start <=> $b->start);

        return $pieces;
    }

    /** @return array<int, int> by place in the text: number of the span that counts there */
    private function owners(): array
    {
        $owners = [];
        foreach ($this->spans as $n => $span) {
            for ($at = $span->start; $at < $span->end; $at++) {
                $owners[$at] = $n;
            }
        }
        ksort($owners);

        return $owners;
    }

    /**
     * @param  array<int, int>  $owners
     * @return list<Span>
     */
    private function cut(array $owners): array
    {
        $pieces = [];
        $start = $last = -2;
        foreach ($owners as $at => $owner) {
            if ($at !== $last + 1 || $owner !== $owners[$last]) {
                $pieces[] = $start < 0 ? null : $this->piece($owners[$start], $start, $last + 1);
                $start = $at;
            }
            $last = $at;
        }
        $pieces[] = $start < 0 ? null : $this->piece($owners[$start], $start, $last + 1);

        return array_values(array_filter($pieces));
    }

    private function piece(int $owner, int $start, int $end): ?Span
    {
        $of = $this->spans[$owner];

        return $start === $of->start && $end === $of->end
            ? $of
            : self::trimmed($start, mb_substr($of->text, $start - $of->start, $end - $start), $of);
    }

    /**
     * What rows of a list and of a method leave over.
     *
     * @param  array<int, int>  $owners
     * @return list<Span>
     */
    private function left(array $owners): array
    {
        $left = [];
        foreach ($this->rests as $row) {
            $run = '';
            $of = $row->of;
            foreach ([...mb_str_split($row->text), ''] as $n => $letter) {
                $at = $row->start + $n;
                $owner = $owners[$at] ?? null;
                if ($owner === null && $letter !== '') {
                    $run .= $letter;

                    continue;
                }
                $of = $owner === null ? $of : $this->spans[$owner]->of ?? $of;
                $left[] = $run === '' ? null : $this->rest($at - mb_strlen($run), $run, $of);
                $run = '';
            }
        }

        return array_values(array_filter($left));
    }

    private function rest(int $start, string $words, ?int $of): ?Span
    {
        $figure = preg_match(self::FIGURE, $words) === 1;
        $told = array_diff(preg_split('/[^\p{L}\']+/u', mb_strtolower($words)) ?: [], $this->linking, ['']);

        if (preg_match('/^\W*\d{1,2}[.)]\s*$/u', $words) === 1) {
            $counts = new Span($start, $start, Fate::Remark, '', $of, 'It counts the rows.');

            return self::trimmed($start, $words, $counts);
        }

        return ! $figure && mb_strlen(implode('', $told)) < 3 ? null : self::trimmed(
            $start,
            $words,
            new Span($start, $start, $figure ? Fate::Amount : Fate::Remark, '', $of),
        );
    }

    /** Without the signs around it; null when there is nothing else. */
    private static function trimmed(int $start, string $words, Span $of): ?Span
    {
        if (preg_match('/[\p{L}\p{N}](?:.*[\p{L}\p{N}%°)])?/su', $words, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $from = $start + mb_strlen(substr($words, 0, $m[0][1]));

        return new Span($from, $from + mb_strlen($m[0][0]), $of->fate, $m[0][0], $of->of, $of->why);
    }
}
