<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Size;

/**
 * What was actually weighed, put in the place of what the formula asked for, so that every figure is worked out anew.
 */
final readonly class Actuals
{
    /**
     * @param  array<string, Put>  $put by line id
     *
     * @throws FormulaError for a mass that is negative, or a line that is not in the formula
     */
    public static function of(Formula $formula, array $put): Formula
    {
        foreach ($put as $id => $one) {
            $formula->line($id);
            if ($one->grams < 0.0 || $one->grams > 1_000_000.0 || ! is_finite($one->grams)) {
                throw FormulaError::field('grams', 'a mass from 0 to 1,000,000 g');
            }
        }
        $in = array_values(
            array_filter($formula->lines, static fn (Line $l): bool => isset($put[$l->id]) && $put[$l->id]->isIn()),
        );

        return $formula
            ->withLines(array_map(static fn (Line $l): Line => $l->withAmount($put[$l->id]->amount()), $in))
            ->withSize(Size::asWritten());
    }
}
