<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Words\Message;
use DateTimeImmutable;

/**
 * One product on one head: a patch test first, then applications on a weekly rhythm. Method page:
 * docs/methods/rhythm.md.
 */
final readonly class Routine
{
    /** Hours until a patch test may be read. */
    public const PATCH_DAYS = 2;

    /** Most applications in a week for a leave-on oil. */
    public const MOST_PER_WEEK = 7;

    /** How far ahead a jar is followed: it keeps no longer. */
    private const MOST_DAYS = 3650;

    /**
     * @param  DateTimeImmutable  $start the day of the patch test
     * @param  int  $perWeek applications a week, 1 to 7
     * @param  int  $weeks how many weeks are planned ahead, 1 to 52
     * @param  float|null  $gramsInJar what there is to use up, in all its jars; null where it is made fresh each time
     * @param  DateTimeImmutable|null  $lastDay the day to which it keeps; null where that cannot be told, or where it
     *                                          is made fresh each time
     * @param  list<self>  $others that use of the same jars
     *
     * @throws RoutineError
     */
    public function __construct(
        public DateTimeImmutable $start,
        public int $perWeek,
        public int $weeks,
        public float $gramsPerUse,
        public ?float $gramsInJar,
        public ?DateTimeImmutable $lastDay = null,
        public array $others = [],
    ) {
        if ($perWeek < 1 || $perWeek > self::MOST_PER_WEEK) {
            throw RoutineError::field('per_week', new Message('rhythm.routine.applications-week'));
        }
        if ($weeks < 1 || $weeks > 52) {
            throw RoutineError::field('weeks', '1 to 52 weeks');
        }
        if ($gramsPerUse <= 0.0 || $gramsPerUse > 500.0) {
            throw RoutineError::field('grams_per_use', new Message('rhythm.routine.more-than-most-g'));
        }
    }

    /** The day on which the patch test is read, 48 hours after it was put on. */
    public function patchReading(): DateTimeImmutable
    {
        return $this->start->modify(sprintf('+%d days', self::PATCH_DAYS));
    }

    /** Applications begin the day after the reading. */
    public function firstUse(): DateTimeImmutable
    {
        return $this->patchReading()->modify('+1 day');
    }

    /** @throws RoutineError about "starts_on" where it does not keep until the patch test was read */
    public function keepsUntilItIsRead(): void
    {
        if ($this->lastDay !== null && $this->firstUse() > $this->lastDay) {
            throw RoutineError::outlived($this->lastDay, $this->firstUse());
        }
    }

    /**
     * All days with something to do, to the last on which there is some left that still keeps. Applications begin the
     * day after the reading and are spread evenly over each week; they are calendar dates, so that no change of clocks
     * moves them.
     *
     * @return list<RoutineDay>
     */
    public function days(): array
    {
        $days = [
            new RoutineDay($this->start, Act::PatchTest),
            new RoutineDay($this->patchReading(), Act::PatchReading),
        ];
        $last = $this->lastUse();
        for ($n = 1; $n <= $this->weeks * $this->perWeek; $n++) {
            $day = $this->use($n);
            if ($last !== null && $day > $last) {
                break;
            }
            $days[] = new RoutineDay($day, Act::Application);
        }

        return $days;
    }

    /** The day of an application, counted from 1. */
    private function use(int $n): DateTimeImmutable
    {
        $offset = intdiv($n - 1, $this->perWeek) * 7 + intdiv((($n - 1) % $this->perWeek) * 7, $this->perWeek);

        return $this->firstUse()->modify(sprintf('+%d days', $offset));
    }

    /** Applications up to a day, and on it. */
    public function usesUntil(DateTimeImmutable $day): int
    {
        $days = (int) $this->firstUse()->diff($day)->format('%r%a');
        if ($days < 0) {
            return 0;
        }
        $uses = intdiv($days, 7) * $this->perWeek;
        for ($n = 0; $n < $this->perWeek && intdiv($n * 7, $this->perWeek) <= $days % 7; $n++) {
            $uses++;
        }

        return $uses;
    }

    /** Whole applications in the jars, beside those of whoever shares them; null where each is made fresh. */
    public function usesInJar(): ?int
    {
        return $this->gramsInJar === null ? null : $this->usesUntil($this->lastFit($this->gramsInJar));
    }

    /** The day on which the jars run out, at this rhythm from the first use on; null where each is made fresh. */
    public function emptyOn(): ?DateTimeImmutable
    {
        $uses = $this->usesInJar();

        return $uses === null ? null : $this->use(max(1, $uses));
    }

    /** The last day to the end of which all of whoever shares the jars find enough in them. */
    private function lastFit(float $grams): DateTimeImmutable
    {
        $all = [$this, ...$this->others];
        $first = min(array_map(static fn (self $r): DateTimeImmutable => $r->firstUse(), $all));
        [$fits, $over] = [-1, self::MOST_DAYS];
        while ($over - $fits > 1) {
            $day = intdiv($fits + $over, 2);
            $on = $first->modify(sprintf('+%d days', $day));
            $used = array_sum(array_map(static fn (self $r): float => $r->usesUntil($on) * $r->gramsPerUse, $all));
            if ($used <= $grams + 1e-9) {
                $fits = $day;
            } else {
                $over = $day;
            }
        }

        return $first->modify(sprintf('%+d days', $fits));
    }

    /**
     * The last day on which there can be an application: the jars are empty then, or past their day; null where each is
     * made fresh.
     */
    public function lastUse(): ?DateTimeImmutable
    {
        $empty = $this->emptyOn();

        return $empty !== null && $this->lastDay !== null ? min($empty, $this->lastDay) : $empty;
    }

    /** What ends it, in a sentence; null where it is made fresh each time. */
    public function endsWords(): ?string
    {
        $last = $this->lastUse();
        if ($last === null) {
            return null;
        }

        $day = ['day' => $last->format('j F Y')];

        return $last < $this->emptyOn()
            ? Message::said('rhythm.routine.keeps-to', $day)
            : Message::said('rhythm.routine.used-up', $day);
    }

    /** Grams that can be used up until the day to which it keeps: what is worth making; one use where made fresh. */
    public function worthMaking(): ?float
    {
        if ($this->gramsInJar === null) {
            return $this->gramsPerUse;
        }

        return $this->lastDay === null ? null : $this->usesUntil($this->lastDay) * $this->gramsPerUse;
    }
}
