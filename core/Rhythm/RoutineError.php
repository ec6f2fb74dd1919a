<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Problem;
use Crown\Words\Message;
use DateTimeImmutable;

/** A routine that cannot be, or a day of it that cannot be ticked. */
final class RoutineError extends Problem
{
    public static function reactionElsewhere(): self
    {
        return self::state('reaction-elsewhere', Message::said('rhythm.problem.reaction-recorded-reading-patch'));
    }

    public static function testFirst(): self
    {
        return self::state(
            'test-first',
            Message::said('rhythm.problem.tick-patch-test-itself'),
        );
    }

    public static function stopped(): self
    {
        return self::state(
            'stopped',
            Message::said('rhythm.problem.this-routine-was-stopped'),
        );
    }

    public static function readFirst(): self
    {
        return self::state(
            'read-first',
            Message::said('rhythm.problem.wait-patch-test-read'),
        );
    }

    public static function outlived(DateTimeImmutable $lastDay, DateTimeImmutable $firstUse): self
    {
        return new self(
            'starts_on',
            'outlived',
            new Message('rhythm.problem.outlived', [
                'last' => $lastDay->format('j F Y'),
                'first_use' => $firstUse->format('j F Y'),
            ]),
            ['last_day' => $lastDay->format('Y-m-d'), 'first_use' => $firstUse->format('Y-m-d')],
        );
    }

    /** @param  list<string>  $said what speaks against it, in sentences */
    public static function neverUsed(array $said): self
    {
        return new self(
            'although',
            'never-used',
            new Message('rhythm.problem.never-used', ['said' => implode(' ', $said)]),
        );
    }

    /** @param  list<string>  $said what speaks against it, in sentences */
    public static function wantsReason(array $said): self
    {
        return new self(
            'although',
            'wants-reason',
            new Message('rhythm.problem.wants-reason', ['said' => implode(' ', $said)]),
        );
    }

    /** @param  list<string>  $because what is wrong with it, in sentences */
    public static function withdrawn(array $because): self
    {
        return self::state(
            'withdrawn',
            Message::said('rhythm.problem.withdrawn', ['because' => implode(' ', $because)]),
        );
    }

    public static function over(): self
    {
        return self::state('over', Message::said('rhythm.problem.jar-empty-past-its'));
    }

    public static function notYet(): self
    {
        return self::state('not-yet', Message::said('rhythm.problem.this-day-has-not'));
    }

    private static function state(string $cause, string $sentence): self
    {
        return new self('state', $cause, $sentence);
    }
}
