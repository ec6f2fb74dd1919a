<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Make\OneDose;
use Crown\Make\Stops;

/**
 * Whether something made may go on a head: what the bench stops at there is refused, or has a reason that stays, as at
 * the counter. Method page: docs/methods/rhythm.md.
 */
final class OnHead
{
    /**
     * @param  Assessment  $onHead of what was made, for that head
     * @param  Assessment  $made the same for nobody in particular
     * @param  string|null  $madeAlthough the reason that stands on its record; null where there is none
     * @return list<Finding> the stops that nobody has decided about
     */
    public static function stops(Assessment $onHead, Assessment $made, ?string $madeAlthough): array
    {
        return match ($madeAlthough) {
            null => Stops::open($onHead),
            OneDose::WHY => array_values(array_filter(
                Stops::anew($onHead, $made),
                static fn (Finding $f): bool => ! OneDose::settles($f),
            )),
            default => Stops::anew($onHead, $made),
        };
    }

    /**
     * @param  list<Finding>  $stops
     * @param  list<string>  $tooNear what else is new on that head, in sentences
     * @param  string|null  $although the maker's reason for using it all the same; null without one
     *
     * @throws RoutineError about "although" when there is none, or none that could outweigh them
     */
    public static function decide(Assessment $onHead, array $stops, array $tooNear, ?string $although): void
    {
        $said = [...array_map(static fn (Finding $f): string => $f->message(), $stops), ...$tooNear];
        foreach ($stops as $stop) {
            if (! $onHead->decision($stop)->acceptable) {
                throw RoutineError::neverUsed($said);
            }
        }
        if ($said !== [] && trim($although ?? '') === '') {
            throw RoutineError::wantsReason($said);
        }
    }
}
