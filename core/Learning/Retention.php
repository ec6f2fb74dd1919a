<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Measure\Band;

/**
 * What the studio's own past steeps say of the oil a plant keeps: after two of them it takes the place of the default.
 */
final class Retention
{
    /** Past steeps of a plant, form and strainer from which they are believed over the handbook. */
    public const LEAST = 2;

    /** Whatever was seen, the next one may differ by this part of the mean: hands are not the same every day. */
    private const NARROWEST = 0.1;

    /**
     * @param  list<float>  $keptPerGram grams of oil a gram of plant kept, in past steeps of this plant, form and
     *     strainer
     * @return Band|null from the least to the most seen, its mean as the best; null while there are too few
     */
    public static function learned(array $keptPerGram): ?Band
    {
        if (count($keptPerGram) < self::LEAST) {
            return null;
        }
        $mean = array_sum($keptPerGram) / count($keptPerGram);

        return Band::of(
            max(0.0, min(min($keptPerGram), $mean * (1 - self::NARROWEST))),
            $mean,
            max(max($keptPerGram), $mean * (1 + self::NARROWEST)),
        );
    }
}
