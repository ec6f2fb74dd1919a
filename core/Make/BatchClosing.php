<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Formula\Formula;
use Crown\Measure\KitItem;
use Crown\Measure\KitKind;

/** Whether a batch may be closed, and what it truly is then. Method page: docs/methods/making.md. */
final class BatchClosing
{
    /** What the jars hold may come to so much more than was weighed: a scale at the counter is no better, g. */
    private const SCALES_DIFFER = 1.0;

    /**
     * Net contents of a jar that was weighed full with its lid, by what the kit says that it weighs empty.
     *
     * @param  float  $fullGrams g
     *
     * @throws MakeError where the kit does not say it, or it was not full
     */
    public static function net(float $fullGrams, ?KitItem $jar): float
    {
        $tare = $jar?->kind === KitKind::Jar ? $jar->said('tare_grams') : null;
        if ($jar === null || $tare === null) {
            throw MakeError::noTare();
        }

        return $fullGrams > $tare ? round($fullGrams - $tare, 3) : throw MakeError::notFull($jar->name, $tare);
    }

    /**
     * What was weighed, judged anew.
     *
     * @param  list<Weighing>  $asked what was to be weighed
     * @param  array<string, Put>  $put by line
     * @param  float  $netGrams in each jar
     * @param  float  $remainder that went into none, g
     *
     * @throws MakeError when a line is not weighed yet, nothing was, or the jars hold more than was
     */
    public static function actual(
        Formula $formula,
        array $asked,
        array $put,
        int $jars,
        float $netGrams,
        float $remainder,
        Context $context,
    ): Assessment {
        foreach ($asked as $weighing) {
            if (! isset($put[$weighing->line])) {
                throw MakeError::notWeighed($weighing->name);
            }
        }
        $actual = Assessor::standard()->assess(Actuals::of($formula, $put), $context);
        if ($actual->subject->composition->counted() === []) {
            throw MakeError::nothingWeighed();
        }
        $weighed = $actual->subject->composition->totalGrams;
        if ($netGrams * $jars > $weighed->high + self::SCALES_DIFFER) {
            throw MakeError::moreThanWeighed($jars, $netGrams, $weighed->best);
        }
        if ($netGrams * $jars + $remainder > $weighed->high + self::SCALES_DIFFER) {
            throw MakeError::moreLeftThanWeighed($remainder, $weighed->best);
        }

        return $actual;
    }
}
