<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Words\Message;
use DateTimeImmutable;

/**
 * One new thing at a time: what is new on a head within two weeks of something else that is leaves nobody able to tell
 * which of them it was. Method page: docs/methods/rhythm.md.
 */
final readonly class NewThings
{
    /** Days between two new things on one head. */
    public const APART_DAYS = 14;

    /**
     * @param  array<string, DateTimeImmutable>  $others what else is new on that head, and the day it began
     * @return list<string> what is too near, in sentences
     */
    public static function tooNear(DateTimeImmutable $start, array $others): array
    {
        $near = array_filter(
            $others,
            static fn (DateTimeImmutable $other): bool => (int) $other->diff($start)->days < self::APART_DAYS,
        );

        return array_values(array_map(
            static fn (string $name, DateTimeImmutable $on): string => Message::said('rhythm.new-things.too-near', [
                'name' => $name,
                'day' => $on->format('j F Y'),
            ]),
            array_keys($near),
            $near,
        ));
    }
}
