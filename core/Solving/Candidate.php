<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Catalogue\Ingredient;
use Crown\Words\Message;

/** An ingredient that may be in the blend, and between which shares. */
final readonly class Candidate
{
    /**
     * @param  float  $least per cent of the finished mass
     * @param  float  $most per cent of the finished mass
     * @param  float  $now its present share, per cent; 0 when it is not in yet
     * @param  float  $firmness on its effective solids: what the studio's own batches have shown
     * @param  float|null  $step per cent of one indivisible unit of it, such as a drop: its share is a whole number of
     *     them; null for any share
     *
     * @throws SolveError about "step" or "max"
     */
    public function __construct(
        public Ingredient $ingredient,
        public float $least = 0.0,
        public float $most = 100.0,
        public float $now = 0.0,
        public Supply $supply = new Supply(),
        public float $firmness = 1.0,
        public ?float $step = null,
    ) {
        if ($step !== null && ($step <= 0.0 || $step > 100.0)) {
            throw SolveError::field('step', new Message('solving.candidate.step-above-most'));
        }
        if ($least < 0.0 || $most > 100.0 || $least > $most) {
            throw SolveError::field('max', new Message('solving.candidate.shares-from-least-no'));
        }
    }

    /** The same at one share, per cent. */
    public function exactly(float $share): self
    {
        return new self($this->ingredient, $share, $share, $this->now, $this->supply, $this->firmness, $this->step);
    }
}
