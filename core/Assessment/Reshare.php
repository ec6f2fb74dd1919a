<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\Number;
use Crown\Measure\Unit;
use Crown\Measure\WrittenAmount;
use Crown\Words\Message;

/**
 * Share moved from one line to another, as when the edge between two bands of the jar is dragged: all other shares
 * stay.
 */
final class Reshare
{
    /** Per cent from which a share counts as moved, and under which a line is as good as gone. */
    private const MOVED = 0.05;

    private const NOTHING = 0.005;

    /**
     * @param  string  $from id of the line that gives
     * @param  string  $to id of the line that takes
     * @param  float  $points per cent of the whole; what the giver has not is not moved; below 0 the other way round
     *
     * @throws FormulaError when a line is not there, is locked, or its share cannot be told
     */
    public static function between(Formula $formula, Context $context, string $from, string $to, float $points): Formula
    {
        if ($from === $to) {
            throw FormulaError::field('to', new Message('assessment.reshare.another-line-than-one'));
        }
        if ($points < 0.0) {
            return self::between($formula, $context, $to, $from, -$points);
        }
        $written = Composition::of($formula->withSize(Size::asWritten()), $context);
        $giver = self::portion($written, $from, 'from');
        $taker = self::portion($written, $to, 'to');
        $moved = min($points, $giver->percent());
        $total = $written->totalGrams->best;

        return $formula
            ->replacing($giver->line->withAmount(self::amount($giver, $giver->percent() - $moved, $total)))
            ->replacing($taker->line->withAmount(self::amount($taker, $taker->percent() + $moved, $total)));
    }

    /**
     * A formula whose ingredients have other shares. A line that moves is written anew in its own unit, the others stay
     * as the maker wrote them; what has no share any more goes. Two lines of one ingredient keep their proportion.
     *
     * @param  Formula  $plain the lines to be written, each where it stands in what was examined, perhaps with another
     *     ingredient
     * @param  array<string, float>  $shares per cent, by the ingredient that stands in the line now
     * @param  array<string, float>  $now what they were, by the same
     */
    public static function written(Examined $subject, Formula $plain, array $shares, array $now): Formula
    {
        $total = Composition::of($plain->withSize(Size::asWritten()), $subject->context)->totalGrams->best;
        $portions = [];
        foreach ($subject->composition->portions as $portion) {
            $portions[$portion->line->id] = $portion;
        }
        $lines = [];
        foreach ($plain->lines as $line) {
            $was = $now[(string) $line->ingredient] ?? 0.0;
            $share = $shares[(string) $line->ingredient] ?? 0.0;
            if ($line->ingredient === null || $was <= 0.0 || abs($share - $was) <= min(self::MOVED, $was / 100)) {
                $lines[] = $line;
            } elseif ($share > self::NOTHING) {
                $portion = $portions[$line->id];
                $lines[] = $line->withAmount(self::amount($portion, ($share * $portion->percent()) / $was, $total));
            }
        }

        return $plain->withLines($lines);
    }

    private static function portion(Composition $composition, string $id, string $field): Portion
    {
        $portion = $composition->portion($id);
        if (! $portion->counts()) {
            throw FormulaError::field($field, new Message('assessment.reshare.line-whose-share-known'));
        }

        return $portion->line->locked
            ? throw FormulaError::field($field, new Message('assessment.reshare.line-not-locked'))
            : $portion;
    }

    /**
     * A new amount for a line, in the unit in which it was written where that is a mass, a share, parts or whole drops;
     * else in grams. A fill stays one.
     *
     * @param  float  $percent its new share
     * @param  float  $total grams of the whole as it is written
     */
    public static function amount(Portion $portion, float $percent, float $total): WrittenAmount
    {
        return new WrittenAmount(self::amountText($portion, $percent, $total));
    }

    private static function amountText(Portion $portion, float $percent, float $total): string
    {
        $amount = $portion->read();
        $unit = $amount->also === [] ? $amount->unit : Unit::Gram;
        if ($unit === Unit::Fill) {
            return $portion->line->amount->text;
        }
        if ($unit === Unit::Percent) {
            return Amount::percent(round($percent, 2))->written;
        }
        if ($portion->percent() > 0.0 && ($unit === Unit::Drop || $unit === Unit::Part)) {
            $count = ($amount->count->best * $percent) / $portion->percent();

            return $unit === Unit::Drop
                ? Amount::drops((int) max(1.0, round($count)))->written
                : Amount::parts(max(0.001, round($count, 3)))->written;
        }
        $unit = $unit->isMass() ? $unit : Unit::Gram;
        $grams = ($percent / 100) * $total;
        // To a tenth of a gram, or a hundredth where there is little of it, whatever the unit.
        $digits = (int) ceil(log10($unit->grams() * ($grams >= 10.0 ? 10.0 : 100.0)));

        return Number::shown($grams / $unit->grams(), $digits).' '.$unit->value;
    }
}
