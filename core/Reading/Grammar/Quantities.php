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

    /** Cooks write T for a tablespoon, t for a teaspoon and c for a cup. */
    private const LETTERS = ['T' => 'tbsp', 't' => 'tsp', 'c' => 'cups'];

    /** @return list<Amount> every amount that begins at a place, the longest first */
    public static function at(int $place, Chart $chart): array
    {
        return $chart->once(self::PHRASE, $place, static function () use ($place, $chart): array {
            $amount = self::single($place, $chart);
            if ($amount === null) {
                return [];
            }
            $longer = self::saidAgain($amount, $chart) ?? self::added($amount, $chart);

            return $longer === null ? [$amount] : [$longer, $amount];
        });
    }

    private static function single(int $place, Chart $chart): ?Amount
    {
        $at = self::pastHedge($place, $chart);
        $few = $chart->past($at, Kind::Few);
        if ($few > $at) {
            [$unit, $end] = self::unit($few, $chart);

            return $unit === null ? null : new Amount('a few '.$unit, 3.0, $unit, $place, $end);
        }
        $number = Numbers::at($at, $chart);
        if ($number === null) {
            return self::article($place, $at, $chart) ?? self::turned($at, $chart) ?? self::pictures($at, $chart);
        }
        [$to, $low] = $number;
        $isWord = $chart->token($at)?->number === null;
        [$to, $high] = self::upper($to, $low, $chart);
        $times = self::times($to, $chart);
        if ($times !== null && $high === $low) {
            [$to, $low, $high] = [$times[0], $low * $times[1], $high * $times[1]];
        }
        $measured = self::measured($place, $to, $low, $high, $chart);
        if ($measured !== null) {
            return $measured;
        }
        if ($isWord && $low < 1.0) {
            $of = $chart->past($to, Kind::Of);

            return new Amount($chart->text($place, $to), $low, Amount::FRACTION, $place, $of);
        }

        return self::each($place, $to, $low, $chart)
            ?? self::ofOwn($place, $to, $low, $chart)
            ?? new Amount(self::bare($low, $high), ($low + $high) / 2, Amount::BARE, $place, $to);
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
        $between = $between === $to && in_array($chart->token($to)?->word, ['to', 'bis', 'a', 'à', 'tot'], true)
            ? $to + 1
            : $between;
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
            $isOne = in_array($chart->token($at)?->word, ['a', 'an', 'un', 'une', 'una', 'ein', 'eine', 'einem'], true);
            $at = $isOne ? $at + 1 : $at;
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
        $isCut = $chart->isSign($end, '.') && $chart->token($end)?->glued === true
            && ! self::endsSentence($end, $chart);

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
        $about = $chart->isRough($place) ? 'about ' : '';
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

    private static function endsSentence(int $point, Chart $chart): bool
    {
        $next = $chart->token($point + 1);

        return $next === null || preg_match('/^\p{Lu}/u', $next->text) === 1;
    }

    /** @return array{string|null, int} the unit at a place and the token after it */
    private static function unit(int $place, Chart $chart): array
    {
        if ($chart->isSign($place, '%')) {
            return ['%', $place + 1];
        }
        $token = $chart->token($place);
        if ($token === null) {
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

        return is_string($value) ? [$value, $to] : [null, $place];
    }

    /** "A tablespoon", "a heaped teaspoon", "a handful", "some". */
    private static function article(int $place, int $at, Chart $chart): ?Amount
    {
        $isOne = in_array($chart->token($at)?->word, ['a', 'an', 'the', 'another'], true);
        $to = $isOne ? $at + 1 : $at;
        $heap = $chart->past($to, Kind::Heap);
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
        if (! is_string($unit) || ! $chart->isWord($place) || $number === null) {
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
        if ($other === null || in_array($other->unit, [Amount::BARE, Amount::FRACTION], true)) {
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
