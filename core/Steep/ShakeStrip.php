<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;
use JsonSerializable;

/** The last fortnight of shakes, done or not, up to the day on which the jar is left to settle. */
final readonly class ShakeStrip implements JsonSerializable
{
    private const DAYS = 14;

    public function __construct(
        private Timeline $timeline,
        private Standing $standing,
        private DateTimeImmutable $today,
    ) {
    }

    /** @return list<array{date: string, done: bool}> none for a jar that is not shaken */
    public function jsonSerialize(): array
    {
        $last = min($this->today, $this->timeline->stopShaking()->modify('-1 day'));
        $days = [];
        for ($n = self::DAYS - 1; $n >= 0; $n--) {
            $day = $last->modify(sprintf('-%d days', $n));
            if ($this->timeline->isShakenOn($day)) {
                $days[] = ['date' => $day->format('Y-m-d'), 'done' => $this->standing->wasShakenOn($day)];
            }
        }

        return $days;
    }
}
