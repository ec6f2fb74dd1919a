<?php

declare(strict_types=1);

namespace Crown\Formula;

/** One sentence of instruction, with the act it asks for and its time and temperature (0 when none is said). */
final readonly class Step
{
    public function __construct(
        public string $text,
        public string $act,
        public float $minutes,
        public float $celsius,
        public bool $heatSaid = false,
    ) {
    }

    public function saysTemperature(): bool
    {
        return $this->heatSaid;
    }
}
