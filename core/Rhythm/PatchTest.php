<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use DateTimeImmutable;

/**
 * The patch test stands before everything: nothing is applied before it was put on, read and found calm, and nothing
 * ever again once the skin reacted. Method page: docs/methods/rhythm.md.
 */
final readonly class PatchTest
{
    /** @param  bool  $isOn whether the test itself was ticked */
    public function __construct(private RoutineState $state, private bool $isOn)
    {
    }

    /** Whether something has to wait: an application until the test was read and found calm. */
    public function holdsBack(Act $act): bool
    {
        return $act === Act::Application && $this->state !== RoutineState::Running;
    }

    /**
     * How far the routine is once a day is ticked.
     *
     * @param  DateTimeImmutable  $today the studio's date
     *
     * @throws RoutineError about "state"
     */
    public function ticked(RoutineDay $day, DayState $state, DateTimeImmutable $today): RoutineState
    {
        $this->check($day, $state, $today);
        if ($day->act !== Act::PatchReading) {
            return $this->state;
        }

        return match ($state) {
            DayState::Done => RoutineState::Running,
            DayState::Reacted => RoutineState::Stopped,
            DayState::Planned, DayState::Skipped => RoutineState::Patch,
        };
    }

    private function check(RoutineDay $day, DayState $state, DateTimeImmutable $today): void
    {
        if ($state === DayState::Reacted && $day->act !== Act::PatchReading) {
            throw RoutineError::reactionElsewhere();
        }
        if ($state !== DayState::Done) {
            return;
        }
        if ($day->act === Act::PatchReading && ! $this->isOn) {
            throw RoutineError::testFirst();
        }
        if ($this->holdsBack($day->act)) {
            throw $this->state === RoutineState::Stopped ? RoutineError::stopped() : RoutineError::readFirst();
        }
        if ($day->date > $today) {
            throw RoutineError::notYet();
        }
    }
}
