<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Formula\FormulaError;
use Crown\Formula\Size;

/**
 * What stays in bowl, spout and spatula, as the studio's own batches have shown it. Two batches of the usual loss are
 * always reckoned in, so that one messy afternoon does not double every batch to come. Method page:
 * docs/methods/making.md.
 */
final readonly class ProcessLoss
{
    private const USUAL_COUNTS = 2;

    /** More than half was not lost in a spout: the batch was given away, spoiled, or filled elsewhere too. */
    private const MOST = 0.5;

    /**
     * @param  float  $share of what is weighed, 0 to 0.5
     * @param  int  $batches that stand behind it
     */
    private function __construct(public float $share, public int $batches)
    {
    }

    /**
     * @param  list<array{weighed: float, filled: float}>  $batches grams that went in, and grams in the jars
     *
     * @throws FormulaError for a mass that is negative or not a number
     */
    public static function of(array $batches): self
    {
        $losses = [];
        foreach ($batches as ['weighed' => $weighed, 'filled' => $filled]) {
            if (! is_finite($weighed) || ! is_finite($filled) || $weighed < 0.0 || $filled < 0.0) {
                throw FormulaError::field('weighed', 'masses of 0 g or more');
            }
            $loss = $weighed > 0.0 ? max(0.0, 1 - $filled / $weighed) : 1.0;
            if ($loss <= self::MOST) {
                $losses[] = $loss;
            }
        }

        return new self(
            (self::USUAL_COUNTS * Size::LOSS + array_sum($losses)) / (self::USUAL_COUNTS + count($losses)),
            count($losses),
        );
    }
}
