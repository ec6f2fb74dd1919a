<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Measure\Number;
use Crown\Words\Message;

/** Two ends that a figure is to lie between, in the figure's own unit; null for an end that is open. */
final readonly class Between
{
    /** @throws SolveError when the least is more than the most, or an end is no number */
    public function __construct(public ?float $least = null, public ?float $most = null)
    {
        foreach ([$least, $most] as $end) {
            if ($end !== null && ! is_finite($end)) {
                throw SolveError::field('min', 'ordinary numbers');
            }
        }
        if ($least !== null && $most !== null && $least > $most) {
            throw SolveError::field('min', new Message('solving.between.least-no-more-than'));
        }
    }

    public function low(): float
    {
        return $this->least ?? -INF;
    }

    public function high(): float
    {
        return $this->most ?? INF;
    }

    /** How far a figure is from the nearer of its ends; null when both are open. */
    public function gap(float $figure): ?float
    {
        $ends = array_filter([$this->least, $this->most], static fn (?float $end): bool => $end !== null);

        return $ends === [] ? null : min(array_map(static fn (float $end): float => abs($figure - $end), $ends));
    }

    /** How far a figure lies outside; 0 between the two ends. */
    public function missedBy(float $figure): float
    {
        return max(0.0, $this->low() - $figure, $figure - $this->high());
    }

    public function words(): string
    {
        return match (true) {
            $this->least !== null && $this->least === $this->most => 'exactly '.Number::shown($this->least),
            $this->least !== null && $this->most !== null => sprintf(
                '%s to %s',
                Number::shown($this->least),
                Number::shown($this->most),
            ),
            $this->least !== null => 'at least '.Number::shown($this->least),
            $this->most !== null => 'at most '.Number::shown($this->most),
            default => Message::said('solving.between.any'),
        };
    }
}
