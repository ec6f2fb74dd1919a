<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;

/** Amounts: "about 2-3 heaped tbsp", "½ cup (120 ml)", "2 x 113 g", "a third", "zwei Esslöffel", "🥄🥄". */
final class Quantities
{
    private const PHRASE = 'quantity';

    /** Signs that an amount may be said again behind. */
    private const AGAIN = ['(', '/', '=', '≈', '~', '['];

    /** What a measure is divided into. */
    private const FINER = ['lb' => 'oz', 'kg' => 'g', 'l' => 'ml', 'cups' => 'tbsp', 'tbsp' => 'tsp'];

    /** Cooks write T for a tablespoon, t for a teaspoon and c for a cup. */
    private const LETTERS = ['T' => 'tbsp', 't' => 'tsp', 'c' => 'cups'];

    /** @return list<Amount> every amount that begins at a place, the longest first */
    public static function at(int $place, Chart $chart): array
    {
        return $chart->once(self::PHRASE, $place, static function () use ($place, $chart): array {
            $bound = $chart->skip($chart->past($place, Kind::AtMost), '.', '<', '≤', '=');
            $isBound = $bound > $place && ! $chart->isSign($place, '.', '=');
            $amount = self::single($isBound ? $bound : $place, $chart);
            if ($amount === null) {
                return [];
            }
            if ($isBound) {
                return [$amount->atMost($place)];
            }
            $amount = self::less($amount, $chart) ?? self::became($amount, $chart) ?? self::instead($amount, $chart);
            $longer = self::saidAgain($amount, $chart) ?? self::added($amount, $chart);

            return $longer === null ? [$amount] : [$longer, $amount];
        });
    }

    /** "412 - 180 = 232 g", "96 g - 34 g", "2 tbsp less 1 tsp": what lies between two amounts. */
    private static function less(Amount $amount, Chart $chart): ?Amount
    {
        $at = $chart->isSign($amount->to, '-', '–', '−') ? $amount->to + 1 : $chart->past($amount->to, Kind::Less);
        $other = $at > $amount->to ? self::single($at, $chart) : null;
        $ml = $other === null ? null : self::between($amount, $other);
        if ($other === null || $ml === null) {
            return null;
        }
        $sum = $chart->isSign($other->to, '=') ? self::single($other->to + 1, $chart) : null;

        return Amount::of($ml[0], $sum->unit ?? $ml[1], $amount->from, $sum->to ?? $other->to);
    }

    /** @return array{float, string}|null how much more one amount is than another, and in what; null where it is not */
    private static function between(Amount $one, Amount $other): ?array
    {
        $weighed = [Amount::BARE, 'g', 'ml'];
        $spoons = ['tbsp' => 15.0, 'tsp' => 5.0, 'cups' => 240.0, 'ml' => 1.0];
        [$unit, $much] = match (true) {
            in_array($one->unit, $weighed, true) && in_array($other->unit, $weighed, true) => [
                $one->isBare() ? $other->unit : $one->unit,
                $one->count - $other->count,
            ],
            isset($spoons[$one->unit], $spoons[$other->unit]) && $one->unit !== $other->unit => [
                'ml',
                $one->count * $spoons[$one->unit] - $other->count * $spoons[$other->unit],
            ],
            default => ['', 0.0],
        };

        return $much > 0.0 ? [$much, $unit] : null;
    }

    /** "100 g -> 200 g": what it was changed to holds. */
    private static function became(Amount $amount, Chart $chart): ?Amount
    {
        $at = $chart->skip($amount->to, '-', '–', '=', '>', '→');
        $other = $at > $amount->to && $chart->isSign($at - 1, '>', '→') ? self::single($at, $chart) : null;

        return $other === null || ($other->unit !== $amount->unit && ! $amount->isBare()) || $other->isLoose()
            ? null
            : $other->spanning($amount->from, $other->to);
    }

    /** "100 ml, not 10 ml", "2 teaspoons (not tablespoons)": what it is not is said besides. */
    private static function instead(Amount $amount, Chart $chart): Amount
    {
        $at = $chart->skip($amount->to, ',', '(');
        $not = $chart->past($at, Kind::Not);
        if ($amount->isBare() || $not === $at) {
            return $amount;
        }
        $other = self::single($not, $chart);
        $unit = $chart->past($not, Kind::Unit);
        $to = $other !== null && ! $other->isBare() && $other->unit !== Amount::FRACTION ? $other->to : $unit;

        return $to > $not ? $amount->spanning($amount->from, $chart->skip($to, ')', '!')) : $amount;
    }

    private static function single(int $place, Chart $chart): ?Amount
    {
        $at = self::pastHedge($place, $chart);
        $few = $chart->past($at, Kind::Few);
        if ($few > $at) {
            [$unit, $end] = self::unit($few, $chart);

            if ($unit !== null && ! $chart->is($few, Kind::Loose)) {
                return new Amount('a few '.$unit, 3.0, $unit, $place, $end);
            }
        }
        $number = Numbers::at($at, $chart);
        if ($number === null) {
            return self::article($place, $at, $chart) ?? self::turned($at, $chart) ?? self::pictures($at, $chart);
        }
        [$to, $low] = $number;
        $isWord = $chart->token($at)?->number === null;
        [$to, $high] = self::upper($to, $low, $chart);
        $to = self::pastIsh($to, $chart);
        $times = self::times($to, $chart);
        if ($times !== null && $high === $low) {
            [$to, $low, $high] = [$times[0], $low * $times[1], $high * $times[1]];
        }
        $measured = self::ofOwn($place, $to, $low, $chart) ?? self::measured($place, $to, $low, $high, $chart);
        if ($measured !== null) {
            return $measured;
        }
        // "Fill 1/4 with shea": a fraction of the whole, as a quarter is; 0.25 is a figure.
        $isFraction = $isWord || preg_match('/[\/⁄½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙]/u', $chart->text($at, $to)) === 1;
        if ($isFraction && $low === $high && $low < 1.0) {
            $of = $chart->past($to, Kind::Of);

            return new Amount($chart->text($place, $to), $low, Amount::FRACTION, $place, $of);
        }

        return self::each($place, $to, $low, $chart)
            ?? new Amount(
                self::loosely($place, $chart).self::bare($low, $high),
                ($low + $high) / 2,
                Amount::BARE,
                $place,
                $to,
            );
    }

    /** @param  int  $place where the amount begins, with what says that it is roughly so much */
    private static function loosely(int $place, Chart $chart): string
    {
        return $chart->isRough($place) ? 'about ' : '';
    }

    /** "30-ish ml", "30'ml": the token after it. */
    private static function pastIsh(int $to, Chart $chart): int
    {
        $ish = $chart->past($chart->skip($to, '-', "'"), Kind::OrSo);
        $isMarked = $chart->isSign($to, "'") && $chart->is($to + 1, Kind::Unit);

        return $ish > $to + 1 ? $ish : ($isMarked ? $to + 1 : $to);
    }

    private static function bare(float $low, float $high): string
    {
        return $low === $high ? Amount::figure($low) : Amount::figure($low).'-'.Amount::figure($high);
    }

    /** As cooks write it: 1.5 is 1 1/2. */
    private static function inFractions(float $low, float $high): string
    {
        $part = $low - floor($low);
        foreach (['1/4' => 0.25, '1/3' => 1 / 3, '1/2' => 0.5, '2/3' => 2 / 3, '3/4' => 0.75] as $written => $is) {
            if ($low === $high && abs($part - $is) < 0.001) {
                return $low < 1.0 ? $written : floor($low).' '.$written;
            }
        }

        return self::bare($low, $high);
    }

    private static function pastHedge(int $place, Chart $chart): int
    {
        for ($at = $place; ;) {
            $to = max($chart->past($at, Kind::Hedge), $chart->skip($at, '~', '≈'));
            // "A good handful" is no hedge that stands alone.
            if ($to === $at) {
                return $at;
            }
            $at = $chart->isSign($to, '.') && $chart->token($to)?->glued === true ? $to + 1 : $to;
        }
    }

    /** @return array{int, float} the token after it and its upper end: "2-3", "2 to 3", "2 or 3" */
    private static function upper(int $to, float $low, Chart $chart): array
    {
        $between = $chart->isSign($to, '-', '–', '—') ? $to + 1 : $chart->past($to, Kind::Or);
        $between = $between === $to ? $chart->past($to, Kind::RangeTo) : $between;
        $number = $between > $to ? Numbers::at($between, $chart) : null;
        $isRange = $number !== null && $number[1] > $low && $number[1] <= 10 * $low
            && ($chart->isSign($to, '-', '–', '—') || $chart->token($between)?->number !== null || $low < 20.0
                || $number[1] <= 2 * $low);

        return $isRange ? $number : [$to, $low];
    }

    /** @return array{int, float}|null "x 113" */
    private static function times(int $to, Chart $chart): ?array
    {
        $x = $chart->past($to, Kind::Times);

        return $x > $to && $chart->token($x)?->number !== null ? Numbers::at($x, $chart) : null;
    }

    /** With a unit: "2 heaped tbsp", "30g", "a handful". */
    private static function measured(int $place, int $to, float $low, float $high, Chart $chart): ?Amount
    {
        $at = $to;
        // "Half a cup", "a quarter of a cup".
        if ($low < 1.0) {
            $at = $chart->past($at, Kind::Of);
            $at = $chart->past($at, Kind::Article);
        }
        $heap = $chart->past($at, Kind::Heap);
        [$unit, $end] = self::unit($heap, $chart);
        if ($unit === null && $heap > $at) {
            [$unit, $end] = self::unit($heap = $at, $chart);
        }
        if ($unit === null) {
            return null;
        }
        $heaped = $heap > $at && $chart->isHeaped($at) ? 'heaped ' : '';
        $figures = self::figures($place, $to, $low, $high, $chart);
        $amount = self::written($place, self::pastPoint($end, $chart), $figures, $heaped, $unit, $low, $high, $chart);

        return self::byWhat($amount, $chart);
    }

    /** "2 ounces by weight", "2 oz (by volume)". */
    private static function byWhat(Amount $amount, Chart $chart): Amount
    {
        $at = $chart->skip($amount->to, '(');
        $weight = $chart->past($at, Kind::ByWeight);
        $volume = $chart->past($at, Kind::ByVolume);
        $to = max($weight, $volume);
        if ($to === $at) {
            return $amount;
        }
        $to = $chart->skip($to, ')', '.');

        return $volume > $at && $amount->unit === 'oz'
            ? Amount::of($amount->count, 'fl oz', $amount->from, $to)
            : $amount->spanning($amount->from, $to);
    }

    /** The number as it was written where it is in figures. */
    private static function figures(int $place, int $to, float $low, float $high, Chart $chart): string
    {
        $from = self::pastHedge($place, $chart);
        $text = $chart->inFigures($chart->text($from, $to));

        return $chart->inWords($place, $to) || preg_match('/^[\d.,\/ –-]+$/u', $text) !== 1
            ? self::bare($low, $high)
            : $text;
    }

    private static function pastPoint(int $end, Chart $chart): int
    {
        // Sentences are cut already: a point within one ends a word that is cut short.
        $isCut = $chart->isSign($end, '.') && $chart->token($end)?->glued === true && $chart->token($end + 1) !== null;

        return $isCut ? $end + 1 : $end;
    }

    /** As it was written where that is read; figures for words else. */
    private static function written(
        int $place,
        int $end,
        string $figures,
        string $heaped,
        string $unit,
        float $low,
        float $high,
        Chart $chart,
    ): Amount {
        $words = $chart->inWords($place, $end);
        $one = $high <= 1.0 && $words && in_array($unit, ['cups', 'parts', 'drops', 'capsules'], true);
        $about = self::loosely($place, $chart);
        $figures = $words && in_array($unit, ['cups', 'tbsp', 'tsp'], true) ? self::inFractions($low, $high) : $figures;
        $canonical = $about.$figures.' '.$heaped.($one ? rtrim($unit, 's') : $unit);
        $text = rtrim($chart->text($place, $end), '.');
        // "Tbsp" is tbsp; of a letter alone its size tells.
        $text = preg_match('/\p{L}{2}/u', $text) === 1 ? mb_strtolower($text) : $text;

        return new Amount(
            $words ? $canonical : self::asWritten($chart->inFigures($text), $canonical),
            ($low + $high) / 2,
            $unit,
            $place,
            $end,
        );
    }

    /** @return array{string|null, int} the unit at a place and the token after it */
    private static function unit(int $place, Chart $chart): array
    {
        if ($chart->isSign($place, '%')) {
            return ['%', $place + 1];
        }
        $token = $chart->token($place);
        // "Tre d'oliva": a word that is bound to the next measures nothing.
        if ($token === null || preg_match('/[\'’]$/u', $token->text) === 1) {
            return [null, $place];
        }
        $letter = self::LETTERS[$token->text] ?? null;
        if ($letter !== null && ($token->text === 'T' || ! $chart->is($place, Kind::Unit))) {
            return [$letter, $place + 1];
        }
        $loose = $chart->past($place, Kind::Loose);
        $to = $chart->past($place, Kind::Unit);
        $value = $chart->value($place, Kind::Unit);
        if ($loose > $to) {
            return [$chart->text($place, $loose), $loose];
        }

        return is_string($value) ? [$value, $to] : self::misspelt($place, $chart);
    }

    /** @return array{string|null, int} "10 dropps": the unit that a word behind a figure is all but */
    private static function misspelt(int $place, Chart $chart): array
    {
        $isAsked = $chart->token($place - 1)?->number !== null && $chart->isWord($place) && ! $chart->isKnown($place);
        $unit = $isAsked ? $chart->unitLike($chart->tokens[$place]->word) : null;

        return $unit === null ? [null, $place] : [$unit, $place + 1];
    }

    /** "A tablespoon", "a heaped teaspoon", "a handful", "some". */
    private static function article(int $place, int $at, Chart $chart): ?Amount
    {
        // "A little", "some": it needs no other measure.
        $to = $chart->is($at, Kind::Loose) ? $at : $chart->past($at, Kind::Article);
        $isOne = $to > $at;
        $heap = $chart->is($to, Kind::Loose) ? $to : $chart->past($to, Kind::Heap);
        [$unit, $end] = self::unit($heap, $chart);
        if ($unit === null || (! $isOne && ! $chart->is($heap, Kind::Loose))) {
            return null;
        }
        $isLoose = $chart->is($heap, Kind::Loose);
        $more = self::andHalf($end, $chart);
        if ($more !== null && ! $isLoose) {
            return Amount::of(1.0 + $more[1], $unit, $place, $more[0]);
        }

        return $isLoose
            ? new Amount($chart->text($place, $end), 1.0, $unit, $place, $end)
            : self::written(
                $place,
                self::pastPoint($end, $chart),
                '1',
                $chart->isHeaped($to) ? 'heaped ' : '',
                $unit,
                1.0,
                1.0,
                $chart,
            );
    }

    /** @return array{int, float}|null "a gram and a half" */
    private static function andHalf(int $place, Chart $chart): ?array
    {
        $and = $chart->past($place, Kind::Plus);
        $part = $and > $place ? Numbers::at($and, $chart) : null;
        $isPart = $part !== null && $part[1] < 1.0 && $chart->inWords($and, $part[0]);

        return $isPart && self::unit($part[0], $chart)[0] === null ? $part : null;
    }

    /** "🥄🥄🥄" */
    private static function pictures(int $at, Chart $chart): ?Amount
    {
        $token = $chart->token($at);
        $unit = $chart->value($at, Kind::Unit);
        if ($token === null || $token->isWord() || ! is_string($unit)) {
            return null;
        }
        $to = $chart->skip($at, $token->text);

        return Amount::of((float) ($to - $at), $unit, $at, $to);
    }

    /** "2 syringes (10 ml each)": so many times what is said of one. */
    private static function each(int $place, int $to, float $count, Chart $chart): ?Amount
    {
        if (! $chart->isWord($to) || ! $chart->isSign($to + 1, '(')) {
            return null;
        }
        $one = self::single($to + 2, $chart);
        if ($one === null || ! in_array($one->unit, ['g', 'ml', 'oz', 'fl oz'], true)) {
            return null;
        }
        $end = $chart->past($one->to, Kind::Each);

        if ($end === $one->to || ! $chart->isSign($end, ')')) {
            return null;
        }
        $chart->measures->keep($chart->tokens[$to]->word, $one->count, $one->unit);

        return Amount::of($count * $one->count, $one->unit, $place, $end + 1);
    }

    /** "1 syringe", where the text has said what one holds. */
    private static function ofOwn(int $place, int $to, float $count, Chart $chart): ?Amount
    {
        $one = $chart->isWord($to) ? $chart->measures->of($chart->tokens[$to]->word) : null;

        return $one === null ? null : Amount::of($count * $one[0], $one[1], $place, $to + 1);
    }

    /** "Tropfen 8", "drops: 8": the unit before its figure. */
    private static function turned(int $place, Chart $chart): ?Amount
    {
        $unit = $chart->value($place, Kind::Unit);
        $at = $chart->skip($chart->past($place, Kind::Unit), ':');
        $number = $chart->token($at)?->number;
        if (! is_string($unit) || in_array($unit, ['parts', '%'], true)
            || ! $chart->isWord($place) || $number === null) {
            return null;
        }

        return self::unit($at + 1, $chart)[0] === null ? Amount::of($number, $unit, $place, $at + 1) : null;
    }

    /** "1 cup (200 g)", "30 ml / 2 tbsp": what it is in another measure. */
    private static function saidAgain(Amount $amount, Chart $chart): ?Amount
    {
        if (! $chart->isSign($amount->to, ...self::AGAIN) || $amount->unit === Amount::FRACTION) {
            return null;
        }
        $opens = $chart->isSign($amount->to, '(', '[');
        $other = self::single($amount->to + 1, $chart);
        if ($other === null || $other->isLoose() || in_array($other->unit, [Amount::BARE, Amount::FRACTION], true)) {
            return null;
        }
        $to = $opens ? $chart->skip($other->to, ')', ']') : $other->to;
        $closes = ! $opens || $to > $other->to;
        if (! $closes || ($other->unit === $amount->unit && ! $opens)) {
            return null;
        }

        return $amount->unit === Amount::BARE
            ? $other->spanning($amount->from, $to)
            : (new Amount("$amount->text (".self::plainly($other->text).')', $amount->count, $amount->unit,
                $amount->from, $to));
    }

    /** Within brackets it is said that it is roughly so much. */
    public static function plainly(string $text): string
    {
        return str_starts_with($text, 'about ') ? substr($text, 6) : $text;
    }

    /** "1 cup + 2 tbsp", "1 cup plus 2 tbsp". */
    private static function added(Amount $amount, Chart $chart): ?Amount
    {
        $plus = $chart->past($amount->to, Kind::Plus);
        $finer = self::FINER[$amount->unit] ?? null;
        if ($plus === $amount->to && $finer !== null) {
            // "1 lb 4 oz": the finer unit goes on.
            $next = self::single($plus, $chart);
            $goesOn = $next !== null && $next->unit === $finer && ! $next->isLoose();

            return $goesOn
                ? new Amount("$amount->text + $next->text", $amount->count, $amount->unit, $amount->from, $next->to)
                : null;
        }
        if ($plus === $amount->to || in_array($amount->unit, [Amount::BARE, Amount::FRACTION, '%', 'parts'], true)) {
            return null;
        }
        $other = self::single($plus, $chart);
        if ($other === null || in_array($other->unit, [Amount::BARE, Amount::FRACTION, '%', 'parts'], true)) {
            return null;
        }

        return new Amount("$amount->text + $other->text", $amount->count, $amount->unit, $amount->from, $other->to);
    }

    /** The words of the text where they are read as the same amount, else the plain ones. */
    private static function asWritten(string $written, string $canonical): string
    {
        try {
            $one = AmountReader::read($canonical);
        } catch (MeasureError) {
            return $canonical;
        }
        try {
            $other = AmountReader::read($written);
        } catch (MeasureError) {
            return $canonical;
        }
        $isSame = $other->unit === $one->unit
            && abs($other->count->best - $one->count->best) < 0.002 * $one->count->best;

        return $isSame ? $written : $canonical;
    }
}
