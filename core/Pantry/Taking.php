<?php

declare(strict_types=1);

namespace Crown\Pantry;

/**
 * How an amount that a scale has shown is taken from the lots there are: first to expire first, and on from the next
 * when one runs out. What the scale says wins: where it is more than was thought, the last lot held more, and that is
 * asked about; nothing goes below zero. Method page: docs/methods/pantry.md.
 */
final readonly class Taking
{
    /** A hundredth of a gram is nothing. */
    private const NOTHING = 0.005;

    /**
     * @param  list<Take>  $takes in the order in which they were taken
     * @param  float  $elsewhere grams that came from no lot that is known
     */
    private function __construct(public array $takes, public float $elsewhere)
    {
    }

    /**
     * @param  list<Held>  $lots of this ingredient that may be used, in any order
     * @param  float  $grams as it was weighed, at least 0
     * @param  int|null  $chosen the lot that the maker took first, whichever expires first
     * @param  string|null  $on the day on which it is taken, as 2026-11-27: what is past its day is taken last
     */
    public static function of(array $lots, float $grams, ?int $chosen = null, ?string $on = null): self
    {
        $takes = [];
        $rest = $grams;
        foreach (Held::inOrder($lots, $chosen, $on) as $lot) {
            if ($rest < self::NOTHING) {
                return new self($takes, 0.0);
            }
            // Of which nobody knows how much there is: it may well be enough.
            $from = $lot->left === null ? $rest : min($rest, $lot->left);
            if ($from >= self::NOTHING) {
                $takes[] = new Take($lot->lot, $from, $lot->left === null ? $from : 0.0);
                $rest -= $from;
            }
        }
        $last = end($takes);
        if ($rest < self::NOTHING) {
            return new self($takes, 0.0);
        }
        if ($last === false) {
            return new self([], $rest);
        }
        $takes[array_key_last($takes)] = new Take($last->lot, $last->grams + $rest, $last->found + $rest);

        return new self($takes, 0.0);
    }
}
