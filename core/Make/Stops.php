<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;

/** What the bench stops at, where it follows a formula to the counter. Method page: docs/methods/making.md. */
final class Stops
{
    /** @return list<Finding> that are open: nobody has decided to live with them */
    public static function open(Assessment $assessment): array
    {
        return array_values(
            array_filter(
                $assessment->findings,
                static fn (Finding $f): bool => $f->severity === Severity::Stop && $assessment->isOpen($f),
            ),
        );
    }

    /**
     * Those of what was truly weighed that were not there when it was planned.
     *
     * @return list<Finding>
     */
    public static function anew(Assessment $actual, Assessment $planned): array
    {
        $codes = array_map(static fn (Finding $f): string => $f->code, self::open($planned));

        return array_values(
            array_filter(self::open($actual), static fn (Finding $f): bool => ! in_array($f->code, $codes, true)),
        );
    }

    /**
     * @param  Assessment  $of what is decided about
     * @param  list<Finding>  $stops of it
     * @param  string|null  $although the maker's reason for going on all the same; null without one
     *
     * @throws MakeError about "although" when there is none, or none that could outweigh them
     */
    public static function decide(Assessment $of, array $stops, ?string $although): void
    {
        $said = array_map(static fn (Finding $f): string => $f->message(), $stops);
        $never = array_filter($stops, static fn (Finding $f): bool => ! $of->decision($f)->acceptable);
        if ($never !== []) {
            throw MakeError::neverMade(array_values($said));
        }
        if ($stops !== [] && trim($although ?? '') === '') {
            throw MakeError::stopped($said);
        }
    }
}
