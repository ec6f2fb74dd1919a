<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

/**
 * The bowl weighed before and after heating: the loss is water driven off, for oil does not evaporate at these
 * temperatures.
 */
final readonly class Weighing
{
    /** @throws SteepError */
    public function __construct(public float $before, public float $after)
    {
        if ($before <= 0.0 || $after <= 0.0 || $after > $before) {
            throw SteepError::field('after', new Message('steep.allowed.bowl'));
        }
    }

    public function lossGrams(): float
    {
        return $this->before - $this->after;
    }
}
