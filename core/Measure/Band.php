<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/**
 * An uncertain non-negative or signed number: the lowest it can be, the best guess, the highest it can be.
 *
 * Arithmetic is that of intervals: the ends are worst cases, not standard deviations, and never narrow by rounding.
 * Units are the caller's; a name or a type beside the band states them.
 */
final readonly class Band implements JsonSerializable
{
    private function __construct(public float $low, public float $best, public float $high)
    {
    }

    /** @throws MeasureError when the three do not rise or are not finite */
    public static function of(float $low, float $best, float $high): self
    {
        // Thousands are made for one jar. What is no number is neither more nor less than anything.
        if ($low > -INF && $low <= $best && $best <= $high && $high < INF) {
            return new self($low, $best, $high);
        }

        throw is_finite($low) && is_finite($best) && is_finite($high)
            ? MeasureError::disorderedBand($low, $best, $high)
            : MeasureError::notFinite();
    }

    public static function exact(float $value): self
    {
        return self::of($value, $value, $value);
    }

    /**
     * A value known to within an absolute half-width, in the value's own unit; never below zero for a positive value.
     */
    public static function around(float $best, float $halfWidth): self
    {
        $low = $best - abs($halfWidth);

        return self::of($best >= 0 ? max(0.0, $low) : $low, $best, $best + abs($halfWidth));
    }

    /** A value known to within a relative half-width (0.12 for 12 %). */
    public static function within(float $best, float $relative): self
    {
        return self::around($best, abs($best) * $relative);
    }

    public function plus(self $other): self
    {
        return self::of($this->low + $other->low, $this->best + $other->best, $this->high + $other->high);
    }

    public function minus(self $other): self
    {
        return self::of($this->low - $other->high, $this->best - $other->best, $this->high - $other->low);
    }

    /** Product of two non-negative bands. */
    public function times(self $other): self
    {
        return self::of($this->low * $other->low, $this->best * $other->best, $this->high * $other->high);
    }

    /**
     * Quotient of two non-negative bands.
     *
     * @throws MeasureError when the divisor's low end is not above zero
     */
    public function over(self $other): self
    {
        if ($other->low <= 0.0) {
            throw MeasureError::divisionByNothing();
        }

        return self::of($this->low / $other->high, $this->best / $other->best, $this->high / $other->low);
    }

    public function scaled(float $factor): self
    {
        return $factor >= 0
            ? self::of($this->low * $factor, $this->best * $factor, $this->high * $factor)
            : self::of($this->high * $factor, $this->best * $factor, $this->low * $factor);
    }

    /** The same band, no part of it below the floor. */
    public function atLeast(float $floor): self
    {
        return self::of(max($floor, $this->low), max($floor, $this->best), max($floor, $this->high));
    }

    /** The same band, no part of it above the cap. */
    public function atMost(float $cap): self
    {
        return self::of(min($cap, $this->low), min($cap, $this->best), min($cap, $this->high));
    }

    public function isExact(): bool
    {
        return $this->low === $this->high;
    }

    public function contains(float $value): bool
    {
        return $this->low <= $value && $value <= $this->high;
    }

    /** @return array{low: float, best: float, high: float} */
    public function jsonSerialize(): array
    {
        $best = self::tidy($this->best);

        return $this->isExact()
            ? ['low' => $best, 'best' => $best, 'high' => $best]
            : ['low' => self::tidy($this->low), 'best' => $best, 'high' => self::tidy($this->high)];
    }

    /** Cuts binary noise at nine significant digits for output; never used in further computation. */
    private static function tidy(float $value): float
    {
        // A whole number of up to nine digits has no noise to cut, and most amounts are one.
        return abs($value) < 1e9 && $value === floor($value) ? $value : (float) sprintf('%.9g', $value);
    }
}
