<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** Where a jar stands from a day on, and how it is held there. */
final readonly class Stay
{
    /**
     * @param  float|null  $celsius it is held at; null for the method's own
     * @param  float|null  $minutes of a heated way; null for the method's own
     * @param  int|null  $days it stands from that day on; null for as long as was planned from the start
     */
    public function __construct(
        public SteepMethod $method,
        public DateTimeImmutable $from,
        public ?float $celsius = null,
        public ?float $minutes = null,
        public ?int $days = null,
    ) {
    }

    /** The same, looked after in a way: what the stay does not say itself. */
    public function inWay(Way $way): self
    {
        return new self(
            $this->method,
            $this->from,
            $this->celsius ?? $way->celsius,
            $this->minutes ?? $way->minutes,
            $this->days ?? ($this->method->isHeated() ? null : $way->days),
        );
    }

    /** The same, known to have ended on a day. */
    public function until(DateTimeImmutable $end): self
    {
        $days = (int) $this->from->diff($end)->format('%r%a');

        return new self($this->method, $this->from, $this->celsius, $this->minutes, max(0, $days));
    }

    /** °C at which it is held. */
    public function heldAt(): float
    {
        return $this->celsius ?? $this->method->celsius();
    }

    /** Minutes for which a heated way is held. */
    public function heldMinutes(): float
    {
        return $this->minutes ?? $this->method->minutes();
    }
}
