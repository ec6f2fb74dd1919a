<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** The most of one restricted constituent that a finished product may hold, per cent of its mass. */
final readonly class ConstituentLimit
{
    public function __construct(
        public string $name,
        public float $leaveOn,
        public float $rinseOff,
        public string $source,
    ) {
    }

    /** Per cent of the finished mass. */
    public function allowedFor(bool $rinsedOff): float
    {
        return $rinsedOff ? $this->rinseOff : $this->leaveOn;
    }
}
