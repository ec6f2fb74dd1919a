<?php

declare(strict_types=1);

namespace Tests\Core\Rhythm;

use Crown\Rhythm\Act;
use Crown\Rhythm\DayState;
use Crown\Rhythm\PatchTest;
use Crown\Rhythm\RoutineDay;
use Crown\Rhythm\RoutineError;
use Crown\Rhythm\RoutineState;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every state of a routine, every act, every tick. */
final class PatchTestTest extends TestCase
{
    private static function tick(
        RoutineState $routine,
        Act $act,
        DayState $state,
        bool $isOn = true,
        int $day = 4,
    ): RoutineState {
        return (new PatchTest($routine, $isOn))->ticked(
            new RoutineDay(new DateTimeImmutable(sprintf('2027-01-%02d', $day)), $act),
            $state,
            new DateTimeImmutable('2027-01-04'),
        );
    }

    public function test_the_reading_decides(): void
    {
        $read = static fn (DayState $state, RoutineState $before = RoutineState::Patch): RoutineState => self::tick(
            $before,
            Act::PatchReading,
            $state,
        );

        self::assertSame(RoutineState::Running, $read(DayState::Done));
        self::assertSame(RoutineState::Stopped, $read(DayState::Reacted));
        self::assertSame(RoutineState::Patch, $read(DayState::Skipped));
        // Taken back, nothing is applied until it is read again.
        self::assertSame(RoutineState::Patch, $read(DayState::Planned, RoutineState::Running));
        self::assertSame(RoutineState::Stopped, $read(DayState::Reacted, RoutineState::Running));
    }

    public function test_no_other_day_changes_how_far_it_is(): void
    {
        foreach (RoutineState::cases() as $state) {
            self::assertSame($state, self::tick($state, Act::PatchTest, DayState::Done));
            self::assertSame($state, self::tick($state, Act::Application, DayState::Skipped));
        }
        self::assertSame(RoutineState::Running, self::tick(RoutineState::Running, Act::Application, DayState::Done));
    }

    public function test_applications_wait(): void
    {
        foreach ([RoutineState::Patch, RoutineState::Stopped] as $state) {
            self::assertTrue((new PatchTest($state, true))->holdsBack(Act::Application));
            self::assertFalse((new PatchTest($state, true))->holdsBack(Act::PatchReading));
        }
        self::assertFalse((new PatchTest(RoutineState::Running, true))->holdsBack(Act::Application));
    }

    /** @return iterable<string, array{RoutineState, Act, DayState, bool, int, string}> */
    public static function refused(): iterable
    {
        yield 'a reaction to an application' => [
            RoutineState::Running, Act::Application, DayState::Reacted, true, 4, 'reaction-elsewhere',
        ];
        yield 'a reaction to the test itself' => [
            RoutineState::Patch, Act::PatchTest, DayState::Reacted, true, 4, 'reaction-elsewhere',
        ];
        yield 'read before it is on' => [
            RoutineState::Patch, Act::PatchReading, DayState::Done, false, 4, 'test-first',
        ];
        yield 'applied before it is read' => [
            RoutineState::Patch, Act::Application, DayState::Done, true, 4, 'read-first',
        ];
        yield 'applied after a reaction' => [
            RoutineState::Stopped, Act::Application, DayState::Done, true, 4, 'stopped',
        ];
        yield 'applied tomorrow' => [
            RoutineState::Running, Act::Application, DayState::Done, true, 5, 'not-yet',
        ];
        yield 'tested tomorrow' => [RoutineState::Patch, Act::PatchTest, DayState::Done, false, 5, 'not-yet'];
    }

    #[DataProvider('refused')]
    public function test_what_cannot_be_ticked(
        RoutineState $routine,
        Act $act,
        DayState $state,
        bool $isOn,
        int $day,
        string $cause,
    ): void {
        try {
            self::tick($routine, $act, $state, $isOn, $day);
            self::fail('It was ticked.');
        } catch (RoutineError $problem) {
            self::assertSame(['state', $cause], [$problem->path, $problem->cause]);
        }
    }
}
