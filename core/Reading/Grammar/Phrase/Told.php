<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Fate;
use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Aside;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Numbers;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** Figures that go into nothing: a time, a heat, a price, a day, a size, how much it makes, how often it is used. */
final readonly class Told implements Phrase
{
    private const COST = 0.1;

    private const LONE = 1.0;

    /** Tokens within which it is said when a row was written. */
    private const SPOKEN = 8;

    /** "Per 30 ml of the finished oil". */
    private const FINISHED = [Kind::Stop, Kind::Grade, Kind::Product, Kind::Form, Kind::Steeped];

    private const SIZES = ['g', 'kg', 'ml', 'l', 'oz', 'fl oz', 'lb', 'cups'];

    public function from(int $place, Chart $chart): iterable
    {
        yield from $this->numbered($place, $chart);
        yield from $this->priced($place, $chart);
        yield from $this->totalled($place, $chart);
        yield from $this->unitOfAll($place, $chart);
        yield from $this->counted($place, $chart);
        yield from $this->inShort($place, $chart);
        yield from $this->per($place, $chart);
        yield from $this->lone($place, $chart);
        yield from $this->spoken($place, $chart);
        yield from $this->tare($place, $chart);
        // "(x12)": how many of it.
        $times = $chart->past($place, Kind::Times);
        if ($times > $place && $chart->token($times)?->number !== null && $chart->isSign($times + 1, ')')) {
            yield new Found($times + 1, 0.2, [], new Aside(Fate::Size));
        }
        $head = $chart->past($place, Kind::HeadList, Kind::HeadMethod, Kind::HeadUse);
        if ($head > $place && $chart->isSign($head, ':', '-', '–')) {
            yield new Found($head + 1, 0.1, [], new Aside(Fate::Heading));
        }
        $stop = $chart->past($place, Kind::Stop);
        if ($stop > $place + 1) {
            yield new Found($stop, 0.1, [], new Aside(Fate::Remark));
        }
        $number = Numbers::at($place, $chart);
        if ($number !== null) {
            yield from $this->measured($place, $number[0], $chart);
            yield from $this->dated($place, $chart);
        }
        yield from $this->sized($place, $chart);
        $ratio = $chart->past($place, Kind::InRatio);
        if ($ratio > $place) {
            $parts = Amount::of(1.0, 'parts', $place, $ratio);
            yield new Found($chart->skip($ratio, ':'), self::COST, [], new Aside(Fate::Remark, Aside::UNIT, $parts));
        }
        $where = $chart->past($place, Kind::Place);
        if ($where > $place) {
            yield new Found($where, self::COST, [], new Aside(Fate::Remark));
        }
    }

    /** @return iterable<Found> "10-12 minutes", "75 °C", "2x a week", "3 times", "4/5" */
    private function measured(int $place, int $to, Chart $chart): iterable
    {
        $isRange = $chart->isSign($to, '-', '–', '—', '+') || $chart->is($to, Kind::RangeTo);
        $end = $isRange ? Numbers::at($to + 1, $chart)[0] ?? $to : $to;
        foreach (array_unique([$end, $to]) as $after) {
            // "Half an hour", "10 more minutes".
            $at = max($chart->past($after, Kind::BeforeTime), $chart->past($after, Kind::Article));
            $time = $chart->past($at, Kind::TimeUnit, Kind::LongTime);
            if ($time > $at) {
                yield new Found($time, self::COST, [], new Aside(Fate::Time));
            }
            $heat = $this->warmth($after, $chart);
            if ($heat > $after) {
                yield new Found($heat, self::COST, [], new Aside(Fate::Temperature));
            }
            if ($chart->is($after, Kind::HowOften)) {
                yield new Found($chart->past($after, Kind::HowOften), 0.3, [], new Aside(Fate::Remark));
            }
        }
    }

    /** The token after "°C", "degrees" or "C"; the place itself where none of them stands there. */
    private function warmth(int $place, Chart $chart): int
    {
        $degrees = max($chart->past($place, Kind::Degrees), $chart->skip($place, '°', 'º'));
        $letter = $chart->token($degrees)->text ?? '';
        // A small letter alone is a cup.
        $isScale = in_array($letter, ['C', 'F'], true) || ($letter === 'c' && $degrees > $place);

        return $isScale ? $degrees + 1 : $degrees;
    }

    /** @return iterable<Found> "4 tins of 40 ml", "makes 2 bars at 50 g", "6 jars", "six 30 g tins" */
    private function counted(int $place, Chart $chart): iterable
    {
        $number = Numbers::at($place, $chart);
        if ($number === null) {
            return;
        }
        $at = in_array($chart->token($number[0])?->text, ['x', '×'], true) ? $number[0] + 1 : $number[0];
        $each = Quantities::at($at, $chart)[0] ?? null;
        $isSized = $each !== null && in_array($each->unit, self::SIZES, true);
        $at = $chart->past($isSized ? $chart->skip($each->to, '-') : $at, Kind::Heap, Kind::Grade);
        $vessel = $chart->past($at, Kind::Vessel);
        if ($vessel === $at) {
            return;
        }
        yield new Found($vessel, 0.3, [], new Aside(Fate::Size));
        $of = max($chart->past($vessel, Kind::SizeOf), $chart->skip($vessel, '@'));
        foreach ($of > $vessel ? Quantities::at($of, $chart) : [] as $amount) {
            $to = $chart->past($amount->to, Kind::Each);
            if (in_array($amount->unit, [...self::SIZES, Amount::BARE], true) && ! $chart->is($to, Kind::Of)) {
                yield new Found($to, 0.2, [], new Aside(Fate::Size));
            }
        }
    }

    /** @return iterable<Found> "per 30 ml", "to every 100 g of the finished oil" */
    private function per(int $place, Chart $chart): iterable
    {
        $per = $chart->past($place, Kind::Per);
        if ($per === $place) {
            return;
        }
        $unit = $chart->value($per, Kind::Unit);
        $amounts = Quantities::at($per, $chart);
        if ($amounts === [] && is_string($unit)) {
            $amounts = [Amount::of(1.0, $unit, $per, $chart->past($per, Kind::Unit))];
        }
        foreach ($amounts as $amount) {
            if (! in_array($amount->unit, [...self::SIZES, 'tbsp', 'tsp'], true)) {
                continue;
            }
            $to = $chart->past($amount->to, Kind::Of);
            $isOf = $to > $amount->to;
            while ($isOf && $chart->is($to, ...self::FINISHED)) {
                $to = $chart->past($to, ...self::FINISHED);
            }
            yield new Found($to, 0.15, [], new Aside(Fate::Amount, Aside::PER, $amount));
        }
    }

    /** @return iterable<Found> "cool to 50", "whip for 8", "rest 5": a warmth or minutes without their unit */
    private function inShort(int $place, Chart $chart): iterable
    {
        $number = $chart->token($place)?->number;
        $isMeasured = $chart->is($place + 1, Kind::Unit, Kind::TimeUnit) || $chart->isSign($place + 1, '%', '/');
        if ($number === null || $isMeasured) {
            return;
        }
        $ends = ! $chart->isWord($place + 1) || $chart->is($place + 1, Kind::Plus, Kind::Stop, Kind::Act);
        if ($ends && $number >= 20.0 && $number <= 100.0 && $chart->is($place - 1, Kind::Temper)
            && $chart->does('melt', 'heat', 'cool', 'chill', 'whip', 'pour', 'wait', 'add', 'steep')) {
            yield new Found($place + 1, 0.6, [], new Aside(Fate::Temperature));
        }
        for ($back = 1; $back <= 2 && $ends && $number <= 90.0; $back++) {
            $isLed = $back === 1
                || in_array($chart->token($place - 1)?->word, ['for', 'again', 'another', 'about'], true);
            $isMade = $place - $back > 0 && $chart->is($place - $back, Kind::Product);
            if ($isLed && ! $isMade && $chart->is($place - $back, Kind::Act)) {
                yield new Found($place + 1, 0.6, [], new Aside(Fate::Time));
            }
        }
    }

    /** @return iterable<Found> "no. 4", "step 2", "aged 5", "pH 5.5" */
    private function numbered(int $place, Chart $chart): iterable
    {
        $token = $chart->token($place);
        $numbered = $chart->past($place, Kind::Numbered);
        $isNumbered = $numbered > $place;
        $at = $isNumbered ? $chart->skip($numbered, '.', '#', ':', '-') : $place;
        if ($isNumbered && $chart->token($at)?->number !== null) {
            yield new Found($at + 1, 0.3, [], new Aside(Fate::Remark));
        }
        $isListed = $token?->number !== null && $token->number < 60.0 && floor($token->number) === $token->number
            && $chart->isSign($place + 1, ')') && $chart->token($place + 1)?->glued === true
            && ! $this->isOpen($place, $chart);
        if ($isListed && $chart->isWord($place + 2)) {
            yield new Found($place + 2, 0.2, [], new Aside(Fate::Remark));
        }
        $closes = $place === 0 && $token?->number !== null && $chart->isSign(1, '.', ')', '/') && $token->number < 60.0;
        if ($closes && $chart->token(2) !== null && ($chart->token(2)->glued === false || $chart->isSign(1, ')'))) {
            yield new Found(2, 0.0, [], new Aside(Fate::Remark));
        }
        $figure = $chart->isSign($place, '(') && $chart->isSign($place + 2, ')') ? $chart->token($place + 1) : null;
        if ($figure?->number !== null && $figure->number < 60.0 && $chart->isWord($place + 3)
            && ! $chart->isWord($place - 1)) {
            yield new Found($place + 3, 0.2, [], new Aside(Fate::Remark));
        }
    }

    /** Whether a bracket stands open before a place. */
    private function isOpen(int $place, Chart $chart): bool
    {
        for ($at = $place - 1; $at >= 0 && ! $chart->isSign($at, ')'); $at--) {
            if ($chart->isSign($at, '(')) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<Found> "€ 9.99", "9.99 euros", "35,-" */
    private function priced(int $place, Chart $chart): iterable
    {
        $money = max($chart->past($place, Kind::Currency), $chart->skip($place, '$', '€', '£', '₹', '¥'));
        if ($money > $place && $chart->token($money)?->number !== null) {
            yield new Found($money + 1, self::COST, [], new Aside(Fate::Remark));
        }
        if ($chart->token($place)?->number === null) {
            return;
        }
        $after = max($chart->past($place + 1, Kind::Currency), $chart->skip($place + 1, '$', '€', '£', '₹'));
        if ($after > $place + 1) {
            yield new Found($after, self::COST, [], new Aside(Fate::Remark));
        }
        if ($chart->isSign($place + 1, ',') && $chart->isSign($place + 2, '-')) {
            yield new Found($place + 3, self::COST, [], new Aside(Fate::Remark));
        }
    }

    /** @return iterable<Found> "12.06.", "the 14th", "3 March", "2024", "04/27" */
    private function dated(int $place, Chart $chart): iterable
    {
        $token = $chart->token($place);
        if ($token?->number === null) {
            return;
        }
        $next = $chart->token($place + 1);
        $isMonth = $chart->is($place + 1, Kind::Month);
        $isOrdinal = $next !== null && $next->glued && in_array($next->word, ['th', 'st', 'nd', 'rd'], true);
        if ($isMonth || ($isOrdinal && ! $chart->is($place, Kind::Variant, Kind::Now))) {
            yield new Found($place + 2, 0.2, [], new Aside(Fate::Remark));
        }
        $isPair = preg_match('/^(\d{1,2})\/(\d{1,2})$/', $token->text, $m) === 1 && (int) $m[1] >= (int) $m[2];
        if ($isPair || ($chart->isSign($place + 1, '+') && ! $chart->is($place + 2, Kind::Unit))) {
            yield new Found($place + 1, $isPair ? 0.8 : 0.6, [], new Aside(Fate::Remark));
        }
        if ($chart->is($place + 1, Kind::Plus) && $chart->token($place + 2)?->word === 'up') {
            yield new Found($place + 3, 0.2, [], new Aside(Fate::Remark));
        }
        if (preg_match('/^\d{1,2}\.\d{2}$/', $token->text) === 1 && $chart->isSign($place + 1, '.')) {
            yield new Found($place + 2, 0.2, [], new Aside(Fate::Remark));
        }
    }

    /** @return iterable<Found> "total 100 g", "makes 250 ml", "= 98 g", "100 g in total" */
    private function totalled(int $place, Chart $chart): iterable
    {
        $yields = $chart->past($place, Kind::Yields);
        if ($yields > $place) {
            $isTotal = $chart->is($place, Kind::Total) || $chart->is($yields - 1, Kind::Total);
            $at = $chart->skip($yields, ':', '=', '-', '–', '.');
            foreach (Quantities::at($at, $chart) as $amount) {
                $to = $chart->past($amount->to, Kind::Vessel);
                $isSize = in_array($amount->unit, [...self::SIZES, '%'], true);
                $to = $chart->past($to, Kind::Product);
                $goesOn = ($chart->isWord($to) && ! $chart->isSmall($to)) || $chart->is($to, Kind::Of);
                if (! $isTotal && (! $isSize || $goesOn)) {
                    continue;
                }
                $says = $isTotal && $amount->unit !== Amount::FRACTION ? Aside::WHOLE : Aside::SUM;
                yield new Found($to, self::COST, [], new Aside(Fate::Size, $says, $amount));
            }
        }
        yield from $this->summed($place, $chart);
    }

    /** @return iterable<Found> "= 98 g", "100 g in total", "two ounces last a month" */
    private function summed(int $place, Chart $chart): iterable
    {
        $equals = $chart->skip($place, '=', '→', '-', '>');
        // A stroke alone leads to an amount of something.
        $equals = $equals > $place && $chart->isSign($equals - 1, '-') ? $place : $equals;
        foreach ($equals > $place ? Quantities::at($equals, $chart) : [] as $amount) {
            if (in_array($amount->unit, self::SIZES, true) && ! $chart->isWord($amount->to)) {
                $sum = new Aside(Fate::Size, Aside::SUM, $amount);
                yield new Found($amount->to, $place === 0 ? self::COST : 0.4, [], $sum);
            }
        }
        $last = $chart->token($equals);
        if ($equals > $place && $last?->number !== null && $equals === $chart->length - 1
            && abs($this->bareBefore($place, $chart) - $last->number) < 0.02 * $last->number) {
            yield new Found($equals + 1, self::COST, [], new Aside(Fate::Size));
        }
        foreach (Quantities::at($place, $chart) as $amount) {
            $lasts = $chart->past($amount->to, Kind::Lasting);
            if ($lasts > $amount->to) {
                yield new Found($lasts, self::COST, [], new Aside(Fate::Size));
            }
            $total = $chart->past($amount->to, Kind::Yields);
            $isTotal = $chart->is($total - 1, Kind::Total) || $chart->past($amount->to, Kind::Total) === $total;
            if ($total > $amount->to && $isTotal) {
                yield new Found($total, self::COST, [], new Aside(Fate::Size, Aside::WHOLE, $amount));
            }
        }
    }

    /** @return iterable<Found> "3:1 shea and beeswax, 200 g": a size alone beside shares */
    private function lone(int $place, Chart $chart): iterable
    {
        $isShared = $chart->once('shares', 0, static fn (): array => [self::hasShares($chart)])[0];
        $isRow = $place === 0 && (Quantities::at(0, $chart)[0]->to ?? 0) === $chart->length;
        if ((! $isShared && ! $isRow) || ($place > 0 && $chart->isWord($place - 1))
            || $chart->isSign($place - 1, '+')) {
            return;
        }
        foreach (Quantities::at($place, $chart) as $amount) {
            $ends = ! $chart->isWord($amount->to) && $chart->token($amount->to)?->number === null;
            if ($ends && in_array($amount->unit, self::SIZES, true)) {
                yield new Found($amount->to, self::LONE, [], new Aside(Fate::Size, Aside::SUM, $amount));
            }
        }
    }

    private static function hasShares(Chart $chart): bool
    {
        for ($place = 0; $place < $chart->length; $place++) {
            $isShare = $chart->isSign($place, '%') || in_array($chart->value($place, Kind::Unit), ['%', 'parts'], true)
                || Ratio::figures($place, $chart) !== null;
            if ($isShare) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<Found> "jar empty 95 g", "bowl 212", "tare: 0": what the scale shows before anything is in */
    private function tare(int $place, Chart $chart): iterable
    {
        $isEmpty = false;
        for ($at = $place; $chart->is($at, Kind::Vessel, Kind::Pack, Kind::Bare);) {
            $isEmpty = $isEmpty || $chart->is($at, Kind::Bare);
            $at = $chart->past($at, Kind::Vessel, Kind::Pack, Kind::Bare);
        }
        $amount = $at > $place ? Quantities::at($chart->skip($at, ':', '=', '-'), $chart)[0] ?? null : null;
        if ($amount !== null && ($amount->unit === Amount::BARE || $amount->unit === 'g')
            && ! $chart->is($amount->to, Kind::Of)) {
            $cost = $isEmpty ? 0.0 : self::LONE;
            yield new Found($amount->to, $cost, [], new Aside(Fate::Size, Aside::TARE, $amount));
        }
    }

    /** @return iterable<Found> "[19:02] Ama:", "12.03.26, 19:02 - Ama:": when it was written, and by whom */
    private function spoken(int $place, Chart $chart): iterable
    {
        if ($place > 0) {
            return;
        }
        for ($at = 0; $at < self::SPOKEN; $at++) {
            $isHour = $chart->isSign($at + 1, ':', '.') && $chart->token($at)?->number !== null
                && preg_match('/^\d{2}$/', $chart->token($at + 2)->text ?? '') === 1;
            if (! $isHour) {
                continue;
            }
            $to = $chart->skip($at + 3, ']', '-', '–', ',', ')');
            for ($words = 0; $words < 3 && $chart->isWord($to); $words++) {
                $to++;
            }
            if ($chart->isSign($to, ':') && $words > 0) {
                yield new Found($to + 1, 0.1, [], new Aside(Fate::Remark, Aside::SPOKEN));
            }

            return;
        }
    }

    /** @return iterable<Found> "240 ml jam jar", "Frasco de 60 ml", "a 100 ml bottle" */
    private function sized(int $place, Chart $chart): iterable
    {
        foreach (Quantities::at($place, $chart) as $amount) {
            if (! in_array($amount->unit, ['ml', 'l', 'g', 'oz', 'fl oz'], true)) {
                continue;
            }
            $at = $chart->past($chart->skip($amount->to, '-'), Kind::Heap, Kind::Grade);
            $vessel = $chart->past($at, Kind::Vessel);
            if ($vessel > $at) {
                yield new Found($vessel, self::COST, [], new Aside(Fate::Size, Aside::VESSEL, $amount));
            }
        }
        $vessel = $chart->past($place, Kind::Vessel);
        $of = $chart->past($chart->skip($vessel, '(', '=', ':'), Kind::Of, Kind::Link, Kind::SizeOf);
        $of = $of === $vessel && $chart->token($vessel)?->number !== null ? $vessel : $of;
        $isDirect = $of === $vessel;
        foreach ($vessel > $place && ($of > $vessel || $isDirect) ? Quantities::at($of, $chart) : [] as $amount) {
            $ends = ! $isDirect || $chart->isSign($amount->to, ':', ',', ')', '-', '–')
                || $amount->to === $chart->length;
            if ($ends && in_array($amount->unit, ['ml', 'l', 'g', 'oz', 'fl oz'], true)) {
                yield new Found($amount->to, self::COST, [], new Aside(Fate::Size, Aside::VESSEL, $amount));
            }
        }
    }

    /** @return iterable<Found> "(g)", "all in grams", "(tablespoons, says gran)", "(all per cent, by weight)", "%" */
    private function unitOfAll(int $place, Chart $chart): iterable
    {
        $before = $chart->token($place - 1);
        $at = $place;
        $opens = $chart->isSign($at, '(', '[');
        $at += $opens ? 1 : 0;
        for (; $chart->is($at, Kind::AllIn); $at = $chart->past($at, Kind::AllIn)) {
            continue;
        }
        $at = $at > $place ? $chart->skip($at, '=', ':') : $at;
        $unit = $chart->isSign($at, '%') ? '%' : $chart->value($at, Kind::Unit);
        yield from is_string($unit) ? $this->unitAlone($place, $unit, $chart) : [];
        $isSaid = $opens || $at > $place || ($chart->isSign($place, '%') && $before?->number === null);
        if (! $isSaid || ! is_string($unit) || $before?->number !== null && ! $opens) {
            return;
        }
        $to = $chart->isSign($at, '%') ? $at + 1 : $chart->past($at, Kind::Unit);
        if ($opens && ! $chart->isSign($to, ')', ']', ',')) {
            return;
        }
        $amount = Amount::of(1.0, $unit, $place, $to);
        yield new Found($chart->skip($to, ')', ']'), self::COST, [], new Aside(Fate::Remark, Aside::UNIT, $amount));
    }

    /** @return iterable<Found> "grams?", "yes, g.", "Parts: 6 olive, 3 coconut": nothing but the unit, or it leads */
    private function unitAlone(int $place, string $unit, Chart $chart): iterable
    {
        $to = $chart->past($place, Kind::Unit);
        $isFirst = $place === 0 || $chart->isSign($place - 1, ':', ',', '(') || $chart->isSmall($place - 1);
        $isLast = $chart->token($to) === null || $chart->isSign($to, '?', '.', '!', ')');
        $leads = $place === 0 && $chart->isSign($to, ':') && $this->isBareList($to + 1, $chart);
        $isMeasure = in_array($unit, [...self::SIZES, 'tbsp', 'tsp', 'parts', '%'], true);
        if ($to > $place && $isMeasure && ($leads || ($isFirst && $isLast))) {
            $amount = Amount::of(1.0, $unit, $place, $to);
            yield new Found($to, 0.0, [], new Aside(Fate::Remark, Aside::UNIT, $amount));
        }
    }

    /** Whether two figures without a unit and more follow. */
    private function isBareList(int $place, Chart $chart): bool
    {
        $bare = 0;
        for ($at = $place; $at < $chart->length; $at++) {
            $amount = Quantities::at($at, $chart)[0] ?? null;
            $bare += $amount?->unit === Amount::BARE ? 1 : 0;
            $at = max($at, ($amount->to ?? 0) - 1);
        }

        return $bare > 1;
    }

    /** The sum of the figures without a unit before a token, where there are two and more; else 0. */
    private function bareBefore(int $place, Chart $chart): float
    {
        $figures = [];
        for ($at = 0; $at < $place; $at++) {
            $amount = Quantities::at($at, $chart)[0] ?? null;
            $figures = $amount?->unit === Amount::BARE ? [...$figures, $amount->count] : $figures;
            $at = max($at, ($amount->to ?? 0) - 1);
        }

        return count($figures) > 1 ? array_sum($figures) : 0.0;
    }
}
