<?php

declare(strict_types=1);

namespace Crown\Formula;

/** One sentence of instruction, with the act it asks for. */
final readonly class Step
{
    /**
     * @param  float|null  $minutes that it lasts, above 0; null when none are said
     * @param  float|null  $celsius of what is worked on, °C; null when none is said
     */
    public function __construct(
        public string $text,
        public string $act,
        public ?float $minutes = null,
        public ?float $celsius = null,
    ) {
    }
}
