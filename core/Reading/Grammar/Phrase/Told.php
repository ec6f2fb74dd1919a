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

    private const UP_TO = ['to', 'or', 'bis', 'a', 'à', 'e', 'ou', 'o', 'tot'];

    private const BEFORE_TIME = ['more', 'full', 'whole', 'good', 'long'];

    private const SIZES = ['g', 'kg', 'ml', 'l', 'oz', 'fl oz', 'lb', 'cups'];

    private const TOTALS = ['total', 'totals', 'sum', 'summe', 'gesamt', 'insgesamt', 'totale', 'totaal', 'net', 'all'];

    private const MONTHS = '/^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/';

    private const NUMBERED = ['no', 'nr', 'nos', 'step', 'age', 'aged', 'ages', 'take', 'try', 'round', 'mk',
        'bottle', 'jar', 'marks', 'line', 'type', 'spf', 'ph', 'batch', 'lot', 'day', 'phase', 'version', 'v',
        'test', 'edit', 'size', 'page', 'level', 'x', 'hair', 'recipe', 'trial', 'attempt', '#'];

    private const HOW_OFTEN = ['x', 'times', 'goes', 'uses', 'stars', 'likes', 'am', 'pm', 'uhr', 'clock', 'mcg',
        'mg', 'iu', 'euros', 'yo', 'people', 'kids', 'girls', 'boys', 'daughters', 'children', 'sons', 'women',
        'friends', 'months', 'left', 'heads', 'washes', 'applications', 'mal', 'fois', 'veces', 'vezes',
        'volte', 'keer', 'inches', 'cm', 'users', 'sprays', 'pumps', 'layers', 'turns'];

    public function from(int $place, Chart $chart): iterable
    {
        yield from $this->numbered($place, $chart);
        yield from $this->priced($place, $chart);
        yield from $this->totalled($place, $chart);
        yield from $this->unitOfAll($place, $chart);
        yield from $this->counted($place, $chart);
        yield from $this->inShort($place, $chart);
        yield from $this->per($place, $chart);
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
    }

    /** @return iterable<Found> "10-12 minutes", "75 °C", "2x a week", "3 times", "4/5" */
    private function measured(int $place, int $to, Chart $chart): iterable
    {
        $isRange = $chart->isSign($to, '-', '–', '—', '+') || in_array($chart->token($to)?->word, self::UP_TO, true);
        $end = $isRange ? Numbers::at($to + 1, $chart)[0] ?? $to : $to;
        foreach (array_unique([$end, $to]) as $after) {
            $at = $after + (in_array($chart->token($after)?->word, self::BEFORE_TIME, true) ? 1 : 0);
            $time = $chart->past($at, Kind::TimeUnit, Kind::LongTime);
            if ($time > $at) {
                yield new Found($time, self::COST, [], new Aside(Fate::Time));
            }
            $heat = $this->warmth($after, $chart);
            if ($heat > $after) {
                yield new Found($heat, self::COST, [], new Aside(Fate::Temperature));
            }
            if (in_array($chart->token($after)?->word, self::HOW_OFTEN, true)) {
                yield new Found($after + 1, 0.3, [], new Aside(Fate::Remark));
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
        $links = ['of', 'at', 'a', 'da', 'de', 'di', 'zu', 'van'];
        $of = in_array($chart->token($vessel)?->word, $links, true) || $chart->isSign($vessel, '@')
            ? $vessel + 1
            : $vessel;
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
            $isSteeped = false;
            $to = $chart->past($amount->to, Kind::Of);
            while ($to > $amount->to && $chart->is($to, Kind::Stop, Kind::Grade, Kind::Product, Kind::Form)) {
                $isSteeped = $isSteeped
                    || in_array($chart->token($to)?->word, ['strained', 'infused', 'steeped'], true);
                $to = $chart->past($to, Kind::Stop, Kind::Grade, Kind::Product, Kind::Form);
            }
            if ($isSteeped || in_array($chart->token($to)?->word, ['strained', 'infused', 'steeped'], true)) {
                continue;
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
        if ($ends && $number >= 20.0 && $number <= 100.0 && $chart->is($place - 1, Kind::Temper)) {
            yield new Found($place + 1, 0.6, [], new Aside(Fate::Temperature));
        }
        for ($back = 1; $back <= 2 && $ends && $number <= 90.0; $back++) {
            $isLed = $back === 1
                || in_array($chart->token($place - 1)?->word, ['for', 'again', 'another', 'about'], true);
            if ($isLed && $chart->is($place - $back, Kind::Act)) {
                yield new Found($place + 1, 0.6, [], new Aside(Fate::Time));
            }
        }
    }

    /** @return iterable<Found> "no. 4", "step 2", "aged 5", "pH 5.5" */
    private function numbered(int $place, Chart $chart): iterable
    {
        $token = $chart->token($place);
        $isNumbered = $token !== null && in_array($token->word === '' ? $token->text
            : $token->word, self::NUMBERED, true);
        $at = $isNumbered ? $chart->skip($place + 1, '.', '#', ':', '-') : $place;
        if ($isNumbered && $chart->token($at)?->number !== null) {
            yield new Found($at + 1, 0.3, [], new Aside(Fate::Remark));
        }
        $closes = $place === 0 && $token?->number !== null && $chart->isSign(1, '.', ')') && $token->number < 60.0;
        if ($closes && $chart->token(2) !== null && ($chart->token(2)->glued === false || $chart->isSign(1, ')'))) {
            yield new Found(2, 0.0, [], new Aside(Fate::Remark));
        }
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
        $isMonth = $next !== null && preg_match(self::MONTHS, $next->word) === 1 && mb_strlen($next->word) > 2;
        $isOrdinal = $next !== null && $next->glued && in_array($next->word, ['th', 'st', 'nd', 'rd'], true);
        if ($isMonth || $isOrdinal) {
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
            $isTotal = in_array($chart->token($place)?->word, self::TOTALS, true)
                || in_array($chart->token($yields - 1)?->word, self::TOTALS, true);
            $at = $chart->skip($yields, ':', '=', '-', '–', '.');
            foreach (Quantities::at($at, $chart) as $amount) {
                $to = $chart->past($amount->to, Kind::Vessel);
                $isSize = in_array($amount->unit, self::SIZES, true);
                $goesOn = ($chart->isWord($to) && ! $chart->isSmall($to)) || $chart->is($to, Kind::Of);
                if (! $isTotal && (! $isSize || $goesOn)) {
                    continue;
                }
                $says = $isTotal && $amount->unit !== Amount::FRACTION ? Aside::WHOLE : '';
                yield new Found($to, self::COST, [], new Aside(Fate::Size, $says, $amount));
            }
        }
        yield from $this->summed($place, $chart);
    }

    /** @return iterable<Found> "= 98 g", "100 g in total", "two ounces last a month" */
    private function summed(int $place, Chart $chart): iterable
    {
        $equals = $chart->skip($place, '=', '→');
        foreach ($equals > $place ? Quantities::at($equals, $chart) : [] as $amount) {
            if (in_array($amount->unit, self::SIZES, true) && ! $chart->isWord($amount->to)) {
                yield new Found($amount->to, $place === 0 ? self::COST : 0.4, [], new Aside(Fate::Size, '', $amount));
            }
        }
        foreach (Quantities::at($place, $chart) as $amount) {
            $lasts = $chart->past($amount->to, Kind::Lasting);
            if ($lasts > $amount->to) {
                yield new Found($lasts, self::COST, [], new Aside(Fate::Size));
            }
            $total = $chart->past($amount->to, Kind::Yields);
            if ($total > $amount->to && in_array($chart->token($total - 1)?->word, self::TOTALS, true)) {
                yield new Found($total, self::COST, [], new Aside(Fate::Size, Aside::WHOLE, $amount));
            }
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
        $of = $chart->past($vessel, Kind::Of);
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
        while (in_array($chart->token($at)?->word, ['all', 'in', 'everything', 'alles', 'tout', 'todo', 'tutto',
            'amounts', 'figures', 'numbers'], true)) {
            $at++;
        }
        $unit = $chart->isSign($at, '%') ? '%' : $chart->value($at, Kind::Unit);
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
}
