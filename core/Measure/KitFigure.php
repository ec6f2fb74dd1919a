<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A figure that is asked of a thing of the kit. */
final readonly class KitFigure
{
    /**
     * @param  string  $unit "" where it has none
     * @param  bool  $needed whether the thing says nothing without it
     */
    public function __construct(
        public string $label,
        public string $unit,
        public Bounds $allowed,
        public bool $needed,
    ) {
    }
}
