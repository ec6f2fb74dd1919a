<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;

/**
 * What the studio's own past steeps say of the oil a plant keeps: after two of them it takes the place of the default.
 */
final class Learned
{
    public const LEAST = 2;

    /**
     * @param  list<float>  $keptPerGram of past steeps of this plant, form and strainer
     * @return list<Band> none, or one: from the least to the most seen, its mean as the best, never narrower than a
     *     tenth
     */
    public static function retention(array $keptPerGram): array
    {
        if (count($keptPerGram) < self::LEAST) {
            return [];
        }
        $mean = array_sum($keptPerGram) / count($keptPerGram);

        return [Band::of(max(0.0, min(min($keptPerGram), $mean * 0.9)), $mean, max(max($keptPerGram), $mean * 1.1))];
    }
}
