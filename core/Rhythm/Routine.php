<?php

declare(strict_types=1);

namespace Crown\Rhythm;

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

    /**
     * @param  DateTimeImmutable  $start the day of the patch test
     * @param  int  $perWeek applications a week, 1 to 7
     * @param  int  $weeks how many weeks are planned ahead, 1 to 52
     * @param  float  $gramsInJar what there is to use up
     *
     * @throws RoutineError
     */
    public function __construct(
        public DateTimeImmutable $start,
        public int $perWeek,
        public int $weeks,
        public float $gramsPerUse,
        public float $gramsInJar,
    ) {
        if ($perWeek < 1 || $perWeek > self::MOST_PER_WEEK) {
            throw RoutineError::field('per_week', '1 to 7 applications a week');
        }
        if ($weeks < 1 || $weeks > 52) {
            throw RoutineError::field('weeks', '1 to 52 weeks');
        }
        if ($gramsPerUse <= 0.0 || $gramsPerUse > 500.0) {
            throw RoutineError::field('grams_per_use', 'more than 0 and at most 500 g');
        }
    }

    /** The day on which the patch test is read, 48 hours after it was put on. */
    public function patchReading(): DateTimeImmutable
    {
        return $this->start->modify(sprintf('+%d days', self::PATCH_DAYS));
    }

    /**
     * All days with something to do. Applications begin the day after the reading and are spread evenly over each week;
     * they are calendar dates, so that no change of clocks moves them.
     *
     * @return list<RoutineDay>
     */
    public function days(): array
    {
        $days = [
            new RoutineDay($this->start, Act::PatchTest),
            new RoutineDay($this->patchReading(), Act::PatchReading),
        ];
        $first = $this->patchReading()->modify('+1 day');
        for ($week = 0; $week < $this->weeks; $week++) {
            for ($n = 0; $n < $this->perWeek; $n++) {
                $offset = $week * 7 + intdiv($n * 7, $this->perWeek);
                $days[] = new RoutineDay($first->modify(sprintf('+%d days', $offset)), Act::Application);
            }
        }

        return $days;
    }

    /** Whole applications in the jar. */
    public function usesInJar(): int
    {
        return (int) floor($this->gramsInJar / $this->gramsPerUse + 1e-9);
    }

    /** The day on which the jar runs out, at this rhythm from the first application on. */
    public function emptyOn(): DateTimeImmutable
    {
        $uses = max(1, $this->usesInJar());

        return $this->patchReading()->modify(sprintf('+%d days', 1 + intdiv(($uses - 1) * 7, $this->perWeek)));
    }

    /** Grams that can be used up until a day: the batch worth making. */
    public function gramsUntil(DateTimeImmutable $bestBefore): float
    {
        $days = (int) $this->patchReading()->diff($bestBefore)->format('%r%a');

        return max(0.0, floor(($days * $this->perWeek) / 7) * $this->gramsPerUse);
    }
}
