<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\WrittenAmount;

/**
 * What was actually weighed, put in the place of what the formula asked for, so that every figure is worked out anew.
 */
final readonly class Actuals
{
    /**
     * @param  array<string, float>  $grams by line id
     *
     * @throws FormulaError for a mass that is negative, or a line that is not in the formula
     */
    public static function of(Formula $formula, array $grams): Formula
    {
        foreach ($grams as $id => $mass) {
            $formula->line($id);
            if ($mass < 0.0 || $mass > 1_000_000.0 || ! is_finite($mass)) {
                throw FormulaError::field('grams', 'a mass from 0 to 1,000,000 g');
            }
        }
        $weighed = array_values(
            array_filter($formula->lines, static fn (Line $l): bool => ($grams[$l->id] ?? 0.0) > 0.0),
        );

        return $formula
            ->withLines(
                array_map(
                    static fn (Line $l): Line => $l->withAmount(
                        new WrittenAmount(Amount::grams(round($grams[$l->id], 3))->written),
                    ),
                    $weighed,
                ),
            )
            ->withSize(Size::asWritten());
    }
}
