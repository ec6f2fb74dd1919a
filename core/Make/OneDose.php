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

    /** By how much whole drops may be off what is written. */
    private const OFF = 0.1;

    /** Stops that are about keeping it, and about nothing else. */
    private const KEEPING = ['water.free', 'water.trace', 'preservative.missing', 'preservative.dose'];

    /** Whether it is about keeping alone, which what is used at once need not do. */
    public static function settles(Finding $stop): bool
    {
        return in_array($stop->code, self::KEEPING, true);
    }

    /**
     * One use of it, by its kind; more where half a drop would be asked for, since a drop is not halved: the smallest
     * part of the recipe in which all that is counted comes to whole drops, within a tenth of what is written.
     *
     * @param  MakeSheet  $whole of the recipe as it is written
     */
    public static function of(Formula $formula, MakeSheet $whole): Formula
    {
        $weighings = $whole->weighings();
        $grams = array_sum(array_map(static fn (Weighing $w): float => $w->targetGrams, $weighings));
        $use = $formula->kind->usualUse();
        $part = $grams > 0.0 ? self::part($use / $grams, self::drops($weighings)) : null;

        return $formula->withSize(Size::mass($part === null ? $use : $part * $grams));
    }

    /**
     * @param  list<Weighing>  $weighings
     * @return list<float> how many drops are written, line by line
     */
    private static function drops(array $weighings): array
    {
        $drops = [];
        foreach ($weighings as $weighing) {
            if ($weighing->dropGrams !== null && $weighing->targetGrams > 0.0) {
                $drops[] = $weighing->targetGrams / $weighing->dropGrams;
            }
        }

        return $drops;
    }

    /**
     * @param  float  $least part of the recipe that is one use
     * @param  list<float>  $drops as they are written
     */
    private static function part(float $least, array $drops): float
    {
        $parts = [$least];
        foreach ($drops as $count) {
            for ($n = max(1, (int) ceil($least * $count)); $n <= ceil($count); $n++) {
                $parts[] = $n / $count;
            }
        }
        sort($parts);
        foreach ($parts as $part) {
            if ($part >= $least && self::isWhole($part, $drops)) {
                return $part;
            }
        }

        return max(1.0, $least);
    }

    /** @param  list<float>  $drops */
    private static function isWhole(float $part, array $drops): bool
    {
        foreach ($drops as $count) {
            $asked = $part * $count;
            if (abs(max(1.0, round($asked)) - $asked) > self::OFF * $asked) {
                return false;
            }
        }

        return true;
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
