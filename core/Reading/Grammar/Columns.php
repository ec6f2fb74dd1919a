<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * Names in rows of their own and amounts in others: all names and then all amounts, or an amount over each name.
 */
final readonly class Columns
{
    private const NAME = 'N';

    private const AMOUNT = 'A';

    public function __construct(private Grammar $grammar)
    {
    }

    /**
     * Which rows belong together: the number of a row to that of the one that goes on with it.
     *
     * @param  list<list<Sentence>>  $rows the sentences of each
     * @return array<int, int>
     */
    public function pairs(array $rows): array
    {
        $kinds = implode('', array_map($this->kind(...), $rows));
        preg_match_all('/[NA]{4,}/', $kinds, $runs, PREG_OFFSET_CAPTURE);
        $pairs = [];
        foreach ($runs[0] as [$run, $from]) {
            $pairs += $this->within($run, $from);
        }

        return $pairs;
    }

    /** @return array<int, int> */
    private function within(string $run, int $from): array
    {
        $half = intdiv(strlen($run), 2);
        // What stands over as many names as there are amounts is what it is called.
        $over = $from === 0 && preg_match('/^N(N+)(A+)$/', $run, $m) === 1 && strlen($m[1]) === strlen($m[2]) ? 1 : 0;
        $isApart = preg_match('/^(?:N+A+|A+N+)$/', $run) === 1
            && substr_count($run, self::NAME) - $over === substr_count($run, self::AMOUNT);
        $pairs = [];
        if ($isApart) {
            for ($n = 0; $n < $half; $n++) {
                $pairs[$from + $over + $n] = $from + $over + $half + $n;
            }
        } elseif (preg_match('/^(?:AN)+$/', $run) === 1) {
            for ($n = 0; $n < $half; $n++) {
                $pairs[$from + 2 * $n] = $from + 2 * $n + 1;
            }
        }

        return $pairs;
    }

    /** @param  list<Sentence>  $row */
    private function kind(array $row): string
    {
        $sentence = $row[0] ?? null;
        if ($sentence === null || count($row) !== 1) {
            return '-';
        }
        $chart = $sentence->chart;
        $amount = Quantities::at(0, $chart)[0] ?? null;
        $names = array_filter(
            $this->grammar->namedAt(0, $chart),
            static fn (Named $n): bool => $n->to === $chart->length,
        );

        return match (true) {
            $amount !== null && $amount->to === $chart->length && ! $amount->isBare() => self::AMOUNT,
            $names !== [] => self::NAME,
            default => '-',
        };
    }
}
