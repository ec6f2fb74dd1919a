<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Problem;
use DateTimeImmutable;

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

    public static function outlived(DateTimeImmutable $lastDay, DateTimeImmutable $firstUse): self
    {
        return new self(
            'starts_on',
            'outlived',
            sprintf(
                'It keeps to %s, and a patch test put on then is read only so late that the first use would be on %s.'
                    .' Put the test on earlier, or make it again.',
                $lastDay->format('j F Y'),
                $firstUse->format('j F Y'),
            ),
            ['last_day' => $lastDay->format('Y-m-d'), 'first_use' => $firstUse->format('Y-m-d')],
        );
    }

    /** @param  list<string>  $said what speaks against it, in sentences */
    public static function neverUsed(array $said): self
    {
        return new self(
            'although',
            'never-used',
            implode(' ', $said).' No reason outweighs this: it is not for this head.',
        );
    }

    /** @param  list<string>  $said what speaks against it, in sentences */
    public static function wantsReason(array $said): self
    {
        return new self(
            'although',
            'wants-reason',
            implode(' ', $said).' Say why it is used all the same, or choose something else.',
        );
    }

    /** @param  list<string>  $because what is wrong with it, in sentences */
    public static function withdrawn(array $because): self
    {
        return self::state('withdrawn', 'This must not be used any more. '.implode(' ', $because));
    }

    public static function over(): self
    {
        return self::state('over', 'The jar is empty or past its day by then: make it again.');
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
