<?php

declare(strict_types=1);

namespace Crown\Head;

use DateTimeImmutable;

/** The scalp in zones, as it was marked over time. Method page: docs/methods/fit.md. */
final readonly class CrownMap
{
    /** @var list<Mark> by day, then as they were made */
    public array $marks;

    /** @param  list<Mark>  $marks in the order in which they were made */
    public function __construct(array $marks)
    {
        usort($marks, static fn (Mark $a, Mark $b): int => $a->on <=> $b->on);
        $this->marks = $marks;
    }

    /** The state of a zone as it was last marked up to a day. */
    public function at(Zone $zone, DateTimeImmutable $day): Scalp
    {
        $state = Scalp::NotKnown;
        foreach ($this->marks as $mark) {
            if ($mark->zone === $zone && $mark->on <= $day) {
                $state = $mark->state;
            }
        }

        return $state;
    }

    /** The head's scalp on a day: that of its worst zone; what was said of the whole where no zone is marked. */
    public function scalp(DateTimeImmutable $day, Scalp $otherwise): Scalp
    {
        $worst = Scalp::NotKnown;
        foreach (Zone::cases() as $zone) {
            $state = $this->at($zone, $day);
            $worst = $state->concern() > $worst->concern() ? $state : $worst;
        }

        return $worst === Scalp::NotKnown || $otherwise === Scalp::Alarming ? $otherwise : $worst;
    }

    /** @return list<DateTimeImmutable> the days on which something was marked, rising, each once */
    public function days(): array
    {
        $days = [];
        foreach ($this->marks as $mark) {
            $days[$mark->on->format('Y-m-d')] = $mark->on;
        }

        return array_values($days);
    }
}
