<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Catalogue\Ingredient;

/** An ingredient that may be in the blend, and between which shares. */
final readonly class Candidate
{
    /**
     * @param  float  $least per cent of the finished mass
     * @param  float  $most per cent
     * @param  float  $now its present share, per cent; 0 when it is not in yet
     * @param  float  $price money per gram; below 0 when it is not known
     * @param  float  $stock grams at hand; INF when it does not matter
     * @param  float  $step per cent of one indivisible unit of it, such as a drop: its share is a whole number of them;
     *     0 for any share
     * @param  float  $firmness on its effective solids: what the studio's own batches have shown
     */
    public function __construct(
        public Ingredient $ingredient,
        public float $least = 0.0,
        public float $most = 100.0,
        public float $now = 0.0,
        public float $price = -1.0,
        public float $stock = INF,
        public float $firmness = 1.0,
        public float $step = 0.0,
    ) {
        if ($step < 0.0 || $step > 100.0) {
            throw SolveError::field($ingredient->id, 'a step of 0 (any share) to 100 %');
        }
        if ($least < 0.0 || $most > 100.0 || $least > $most) {
            throw SolveError::field($ingredient->id, 'shares from 0 to 100 %, the least no more than the most');
        }
    }
}
