<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Formula\ProductKind;
use Crown\Measure\Months;
use DateTimeImmutable;

/** What may be said of a finished batch, and on which day. */
final readonly class Inspection
{
    public function __construct(
        private ProductKind $kind,
        private DateTimeImmutable $made,
        private DateTimeImmutable $on,
    ) {
    }

    /**
     * @param  DateTimeImmutable  $today the studio's date
     * @param  bool  $air whether an overrun is given
     * @param  bool  $state whether it is said to be good or off
     *
     * @throws MakeError about "on", "overrun_percent" or "state"
     */
    public function check(DateTimeImmutable $today, bool $air, bool $state): void
    {
        if ($this->on < $this->made || $this->on > $today) {
            throw MakeError::notWithin($this->made->format('Y-m-d'));
        }
        if ($air && $this->kind !== ProductKind::WhippedButter) {
            throw MakeError::takesNoAir();
        }
        if ($state && $this->months() <= 0.0) {
            throw MakeError::keptNoTime();
        }
    }

    /** Age of the batch on that day. */
    public function months(): float
    {
        return max(0.0, Months::ofDays((int) $this->made->diff($this->on)->format('%r%a')));
    }
}
