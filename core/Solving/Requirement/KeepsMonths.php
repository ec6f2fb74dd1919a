<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Assessment\ShelfLife;
use Crown\Measure\Property;
use Crown\Solving\Candidate;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Requirement;
use Crown\Words\Message;

/** The blend keeps so many months: its life is the harmonic mean of its parts (docs/methods/life.md). */
final readonly class KeepsMonths extends Requirement
{
    /** A life asked for is at least this many months, so that its inverse is a number. */
    private const SHORTEST = 0.01;

    /** Just under the share from which a line's own life counts, per cent. */
    private const UNDER = ShelfLife::COUNTS_ALONE * 100 - 0.001;

    public function kind(): string
    {
        return 'life';
    }

    /**
     * The harmonic mean is linear: the sum of share x (1/life - 1/wanted) is at most nothing. What is weaker than
     * wanted stays under the share from which it would count as the weakest line.
     */
    public function rows(Programme $programme): array
    {
        $wanted = $this->between->least;
        if ($wanted === null) {
            return [];
        }
        $rows = [
            new Row(
                $programme->each(
                    fn (Candidate $c): float => $c->ingredient->oxidises()
                        ? 1 / $this->life($c) - 1 / max(self::SHORTEST, $wanted)
                        : 0.0,
                ),
                -INF,
                0.0,
            ),
        ];
        foreach ($programme->candidates as $j => $candidate) {
            if ($candidate->ingredient->oxidises() && $this->life($candidate) < $wanted) {
                $rows[] = new Row([$j => 1.0], -INF, self::UNDER);
            }
        }

        return $rows;
    }

    public function reached(Programme $programme, array $x): float
    {
        $months = $programme->blend($x)->life()->best ?? 0.0;
        foreach ($programme->candidates as $j => $candidate) {
            if ($candidate->ingredient->oxidises() && $x[$j] > self::UNDER) {
                $months = min($months, $this->life($candidate));
            }
        }

        return $months;
    }

    public function words(): string
    {
        return Message::said('solving.keeps-months.keeps-months', ['between' => $this->between->words()]);
    }

    private function life(Candidate $candidate): float
    {
        return $candidate->ingredient->facts->best(Property::LifeMonths, 0.0);
    }
}
