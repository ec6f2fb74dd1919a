<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Problem;

/** A routine that cannot be, or a day of it that cannot be ticked. */
final class RoutineError extends Problem
{
    public static function reactionElsewhere(): self
    {
        return self::state('reaction-elsewhere', 'A reaction is recorded at the reading of the patch test.');
    }

    public static function testFirst(): self
    {
        return self::state(
            'test-first',
            'Tick the patch test itself first; its reading comes 48 hours later.',
        );
    }

    public static function stopped(): self
    {
        return self::state(
            'stopped',
            'This routine was stopped because the patch test showed a reaction.',
        );
    }

    public static function readFirst(): self
    {
        return self::state(
            'read-first',
            'Wait for the patch test: read it first, 48 hours after it was put on.',
        );
    }

    public static function notYet(): self
    {
        return self::state('not-yet', 'This day has not come yet.');
    }

    private static function state(string $cause, string $sentence): self
    {
        return new self('state', $cause, $sentence);
    }
}
