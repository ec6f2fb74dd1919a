<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Formula\Formula;
use Crown\Formula\Size;

/**
 * As much of a recipe as one use takes, made and used at once: what does not keep need not be kept. Method page:
 * docs/methods/making.md.
 */
final class OneDose
{
    /** Why it is made all the same. */
    public const WHY = 'One fresh dose, used at once. What is left is thrown away.';

    /** Stops that are about keeping it, and about nothing else. */
    private const KEEPING = ['water.free', 'water.trace', 'preservative.missing', 'preservative.dose'];

    /** Whether it is about keeping alone, which what is used at once need not do. */
    public static function settles(Finding $stop): bool
    {
        return in_array($stop->code, self::KEEPING, true);
    }

    /** One use of it, by its kind. */
    public static function of(Formula $formula): Formula
    {
        return $formula->withSize(Size::mass($formula->kind->usualUse()));
    }

    /**
     * The reason for which the bench's stops are outweighed; null where there are none, or they are about more than
     * keeping.
     */
    public static function although(Assessment $assessment): ?string
    {
        $stops = Stops::open($assessment);
        $other = array_filter($stops, static fn (Finding $f): bool => ! self::settles($f));

        return $stops === [] || $other !== [] ? null : self::WHY;
    }
}
