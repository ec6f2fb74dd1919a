<?php

declare(strict_types=1);

namespace Crown\Measure;

/** Mass shares of a whole. Method page: docs/methods/shares.md. */
final class Shares
{
    /**
     * The exact worst cases: a line is at its highest share when it is at its own high end and every other line at its
     * low end, and the other way round. Best is m_i / sum(m).
     *
     * @param  list<Band>  $masses grams
     * @return list<Band> fractions, 0 to 1; all zero when the whole is nothing
     */
    public static function of(array $masses): array
    {
        $low = $best = $high = 0.0;
        foreach ($masses as $mass) {
            $low += $mass->low;
            $best += $mass->best;
            $high += $mass->high;
        }

        return array_map(static fn (Band $m): Band => self::one($m, $low - $m->low, $best, $high - $m->high), $masses);
    }

    /**
     * The share of a group of lines taken together, worst cases against all lines outside it.
     *
     * @param  list<Band>  $group grams
     * @param  list<Band>  $others grams
     */
    public static function ofGroup(array $group, array $others): Band
    {
        $zero = Band::exact(0.0);
        $inside = array_reduce($group, static fn (Band $sum, Band $m): Band => $sum->plus($m), $zero);
        $outside = array_reduce($others, static fn (Band $sum, Band $m): Band => $sum->plus($m), $zero);

        return self::one($inside, $outside->low, $inside->best + $outside->best, $outside->high);
    }

    /**
     * Fractions as per cent, each rounded as every figure is, so that a share is the same wherever it stands; what the
     * column then wants to exactly 100 is taken by its largest shares, a step each. For display only; never fed back.
     *
     * @param  list<float>  $fractions
     * @return list<float> per cent
     */
    public static function displayed(array $fractions, int $decimals = 1): array
    {
        if (array_sum($fractions) <= 0.0) {
            return array_map(static fn (): float => 0.0, $fractions);
        }
        $unit = 10 ** $decimals;
        $steps = array_map(static fn (float $f): int => (int) round($f * 100 * $unit), $fractions);
        $missing = 100 * $unit - array_sum($steps);
        arsort($fractions);
        foreach (array_slice(array_keys($fractions), 0, abs($missing)) as $i) {
            $steps[$i] += $missing <=> 0;
        }

        return array_map(static fn (int $n): float => $n / $unit, array_values($steps));
    }

    private static function one(Band $mass, float $othersLow, float $total, float $othersHigh): Band
    {
        $share = static fn (float $own, float $whole): float => $whole <= 0.0 ? 0.0 : $own / $whole;
        $best = $share($mass->best, $total);

        return Band::of(
            min($best, $share($mass->low, $mass->low + max(0.0, $othersHigh))),
            $best,
            max($best, $share($mass->high, $mass->high + max(0.0, $othersLow))),
        );
    }
}
