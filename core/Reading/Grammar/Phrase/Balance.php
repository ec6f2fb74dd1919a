<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Fate;
use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Aside;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Named;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** What fills up the rest: "the rest is argan", "jojoba ad 100 g", "water — balance", "top up with olive oil". */
final readonly class Balance implements Phrase
{
    private const COST = 0.1;

    /** Of a measure on a bottle. */
    private const MILLILITRES = ['fl oz' => 29.5735, 'l' => 1000.0, 'cups' => 240.0];

    private const SIGNS = [':', '-', '–', '—', '=', ',', '|', '.', '(', '…'];

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        yield from $this->restOf($place, $chart);
        yield from $this->toppedUp($place, $chart);
        $isSaid = $chart->holds(Kind::Rest) || $chart->holds(Kind::UpTo) || $chart->holds(Kind::Mark)
            || $chart->holds(Kind::Brim);
        foreach ($isSaid ? $this->before($place, $chart) : [] as $name) {
            yield from $this->behind($name, $chart);
        }
    }

    /** @return iterable<Found> "the rest of the 100 ml bottle is grapeseed", "rest olive" */
    private function restOf(int $place, Chart $chart): iterable
    {
        $rest = $chart->past($place, Kind::Rest);
        if ($rest === $place) {
            return;
        }
        [$at, $whole] = $this->ofWhat($rest, $chart);
        $at = $chart->skip($at, ...self::SIGNS);
        for ($skipped = 0; $skipped < 3 && $this->isLink($at, $chart); $skipped++) {
            $at++;
        }
        $at = $chart->past($at, Kind::Of);
        foreach ($this->called($at, $chart) as $name) {
            yield $this->found($name, $this->fill($whole, $place, $at), $name->to, $chart);
        }
    }

    /** @return array{int, Amount|null} "of the 100 ml bottle" */
    private function ofWhat(int $place, Chart $chart): array
    {
        $at = $chart->past($place, Kind::Of);
        if ($at === $place) {
            return [$place, null];
        }
        while ($chart->is($at, Kind::Stop) && $at < $place + 4) {
            $at++;
        }
        $whole = Quantities::at($at, $chart)[0] ?? null;
        $at = $whole !== null && $this->isWhole($whole) ? $whole->to : $at;
        $vessel = $chart->past($at, Kind::Vessel);

        return $vessel > $at || ($whole !== null && $at === $whole->to)
            ? [$vessel, $whole !== null && $this->isWhole($whole) ? $whole : null]
            : [$place, null];
    }

    private function isLink(int $place, Chart $chart): bool
    {
        return $chart->is($place, Kind::Link);
    }

    /** @return iterable<Found> "top it off with olive oil, right to the rim", "fill to 100 ml with jojoba" */
    private function toppedUp(int $place, Chart $chart): iterable
    {
        $part = $this->part($place, $chart);
        [$at, $whole] = $this->filledUp($place, $part, $chart);
        $of = $chart->past($at, Kind::Of);
        foreach ($at > $place ? $this->called($of, $chart) : [] as $name) {
            $brim = $chart->past($chart->skip($name->to, ','), Kind::Brim);
            $to = $brim > $chart->skip($name->to, ',') ? $brim : $name->to;
            $amount = $part === null ? $this->fill($whole, $place, $of)
                : new Amount('', $part->count, Amount::LEVEL, $place, $of);
            $size = $whole !== null && $this->isWhole($whole) ? new Aside(Fate::Size, Aside::VESSEL, $whole) : null;
            yield new Found($to, self::COST + $name->cost, [new Item($amount, $name)], $size);
        }
    }

    /** @return array{int, Amount|null} the token behind what fills up, and how far it goes; the place for none */
    private function filledUp(int $place, ?Amount $part, Chart $chart): array
    {
        $at = $chart->past($place, Kind::TopUp);
        if ($at > $place) {
            $brim = $chart->past($at, Kind::Brim);

            return [$brim > $at && $this->isLink($brim, $chart) ? $brim + 1 : $at, null];
        }
        [$at, $whole] = $this->sized($place, $chart);
        if ($whole !== null) {
            return [$at, $whole];
        }
        $from = $part->to ?? $place;
        [$to, $whole] = $part === null ? $this->level($place, $chart) : [$place, null];
        [$to, $whole] = $whole === null ? $this->vessel($from, $chart) : [$to, $whole];

        return $to > $from && $this->isLink($to, $chart) ? [$to + 1, $whole] : [$place, null];
    }

    /** @return array{int, Amount|null} "30 ml bottle topped up with" */
    private function sized(int $place, Chart $chart): array
    {
        $size = $chart->token($place)?->number === null ? null : Quantities::at($place, $chart)[0] ?? null;
        if ($size === null || ! $this->isWhole($size)) {
            return [$place, null];
        }
        $vessel = $chart->past($chart->skip($size->to, '-'), Kind::Vessel);
        $at = $vessel > $size->to ? $chart->past($chart->skip($vessel, ',', '-', '–', '—'), Kind::TopUp) : $vessel;

        return $at > $vessel ? [$at, $size] : [$place, null];
    }

    /** "Half fill a 200 ml bottle": a part before what is done. */
    private function part(int $place, Chart $chart): ?Amount
    {
        foreach (Quantities::at($place, $chart) as $part) {
            if ($part->unit === Amount::FRACTION && $chart->is($part->to, Kind::TopVerb)) {
                return $part;
            }
        }

        return null;
    }

    /** @return array{int, Amount|null} "top off the 8 oz jar", "fill it to the shoulder" */
    private function vessel(int $place, Chart $chart): array
    {
        $at = $chart->past($place, Kind::TopVerb);
        if ($at === $place) {
            return [$place, null];
        }
        $at = $this->pastSmall($at, $chart);
        $size = Quantities::at($at, $chart)[0] ?? null;
        $size = $size !== null && $this->isWhole($size) && $chart->is($chart->skip($size->to, '-'), Kind::Vessel)
            ? $size : null;
        $at = $size === null ? $at : $chart->skip($size->to, '-');
        $vessel = $chart->past($at, Kind::Vessel);
        $of = $chart->past($vessel, Kind::Of, Kind::SizeOf);
        $behind = $vessel > $at && $of > $vessel ? Quantities::at($of, $chart)[0] ?? null : null;
        if ($behind !== null && $this->isWhole($behind)) {
            // "Llena un frasco de 100 ml".
            return [$behind->to, $behind];
        }
        $brim = $chart->past($vessel, Kind::Brim);
        $level = $brim > $vessel ? $this->inBrackets($brim, $chart) : null;

        return match (true) {
            $level !== null => [$level->to + 1, $level],
            $vessel > $at || $brim > $vessel => [$brim, $size],
            default => [$place, null],
        };
    }

    /** The token after two small words that join nothing. */
    private function pastSmall(int $place, Chart $chart): int
    {
        for ($at = $place; $at < $place + 2 && $chart->is($at, Kind::Stop); $at++) {
            if ($this->isLink($at, $chart) || $chart->is($at, Kind::Brim)) {
                break;
            }
        }

        return $at;
    }

    /** "(100 ml)" behind "to the neck". */
    private function inBrackets(int $place, Chart $chart): ?Amount
    {
        $level = $chart->isSign($place, '(') ? Quantities::at($place + 1, $chart)[0] ?? null : null;

        return $level !== null && $this->isWhole($level) && $chart->isSign($level->to, ')') ? $level : null;
    }

    /** @return iterable<Found> "jojoba ad 100 g", "aqua to 100", "water — balance", "olive oil q.s." */
    private function behind(Named $name, Chart $chart): iterable
    {
        $at = $chart->skip($name->to, ...self::SIGNS);
        $rest = $chart->past($at, Kind::Rest);
        // "Coconut oil. Rest 2 hours": what rests is something else.
        $isNext = $this->names->exactly($chart->past($rest, Kind::Of, Kind::Link), $chart) !== [];
        if ($rest > $at && ! $isNext && $chart->token($rest)?->number === null && ! $chart->isSign($name->to, '.')) {
            yield $this->found($name, $this->fill(null, $at, $rest), $chart->skip($rest, ')'), $chart);
        }
        $brim = $chart->past($at, Kind::Brim);
        if ($brim > $at) {
            yield $this->found($name, $this->fill(null, $at, $brim), $chart->skip($brim, ')'), $chart);
        }
        [$to, $whole] = $this->level($at, $chart);
        if ($whole !== null && ! ($whole->isBare() && $name->cost > 0.0)) {
            yield $this->found($name, $this->fill($whole, $at, $to), $chart->skip($to, ')'), $chart);
        }
    }

    /** @return array{int, Amount|null} how far it goes: "ad 100 g", "to the 4 oz mark", "up to 120", "halfway up" */
    private function level(int $place, Chart $chart): array
    {
        $up = $chart->past($place, Kind::UpTo);
        $up = $up > $place ? $chart->past($up, Kind::Article) : $up;
        // "Up to the first mark (50 ml)".
        $named = $up > $place ? $chart->past($chart->past($up, Kind::Ordinal), Kind::Mark) : $up;
        $isMarked = $named > $up && ($chart->isSign($named, '(') || $chart->is($named, Kind::Of));
        $up = $isMarked ? $chart->past($chart->skip($named, '('), Kind::Of) : $up;
        foreach (Quantities::at($up, $chart) as $whole) {
            $mark = $chart->past($chart->skip($whole->to, '-'), Kind::Mark);
            $isPart = $whole->unit === Amount::FRACTION && ($mark > $whole->to || $up > $place);
            $isHalfway = $whole->unit === Amount::FRACTION
                && str_starts_with(mb_strtolower(str_replace(' ', '', $whole->text)), 'halfway');
            $isSize = $up > $place && ($this->isWhole($whole) || ($whole->isBare() && $whole->count >= 20.0));
            $isWarmth = in_array($chart->token($whole->to)?->text, ['C', 'F', '°', 'º'], true)
                || $chart->is($whole->to, Kind::TimeUnit, Kind::Degrees);
            // "30 g beeswax to 100 g oil" is of both.
            $of = $chart->past($whole->to, Kind::Of);
            $isOther = $chart->is($whole->to, Kind::Each) || $chart->is($of, Kind::Product)
                || $this->names->exactly($of, $chart) !== [];
            if (! $isWarmth && ! $isOther && ($isPart || $isSize || $isHalfway)) {
                $isNamed = $named > $place && $chart->isSign($named, '(');
                $whole = $isNamed && $this->isWhole($whole)
                    ? $whole->is($whole->text, $this->millilitres($whole), Amount::BARE) : $whole;

                return [$chart->skip(max($mark, $whole->to), ')'), $whole];
            }
        }

        return [$place, null];
    }

    private function isWhole(Amount $amount): bool
    {
        return in_array($amount->unit, ['g', 'kg', 'ml', 'l', 'oz', 'fl oz', '%', 'cups'], true);
    }

    private function fill(?Amount $whole, int $from, int $to): Amount
    {
        if ($whole !== null && ($whole->unit === Amount::FRACTION || $whole->isBare())) {
            return $whole->count === 100.0 && $whole->isBare()
                ? new Amount('to fill', 0.0, Amount::FILL, $from, $to)
                : new Amount('', $whole->count, $whole->isBare() ? Amount::MARK : Amount::LEVEL, $from, $to);
        }
        $isSize = $whole !== null && $whole->unit !== '%';
        $millilitres = $whole === null ? null : self::MILLILITRES[$whole->unit] ?? null;
        $size = match (true) {
            ! $isSize => '',
            $millilitres !== null => Amount::figure(round($whole->count * $millilitres, 1)).' ml',
            default => Amount::figure($whole->count).' '.$whole->unit,
        };

        return new Amount(
            $isSize ? 'to make '.$size : 'to fill',
            $isSize ? $whole->count : 0.0,
            Amount::FILL,
            $from,
            $to,
        );
    }

    private function millilitres(Amount $amount): float
    {
        return $amount->count * (self::MILLILITRES[$amount->unit] ?? 1.0);
    }

    private function found(Named $name, Amount $amount, int $to, Chart $chart): Found
    {
        return new Found($to, self::COST + $name->cost, [new Item($amount, $name)]);
    }

    /** @return list<Named> that stand before what says it */
    private function before(int $place, Chart $chart): array
    {
        $to = $this->names->run($place, $chart);
        $at = $chart->skip($to, ...self::SIGNS);

        return $to > $place && $chart->is($at, Kind::Rest, Kind::UpTo)
            ? $this->called($place, $chart)
            : $this->names->exactly($place, $chart);
    }

    /** @return list<Named> */
    private function called(int $place, Chart $chart): array
    {
        $exact = $this->names->exactly($place, $chart);
        $begins = ! $chart->is($place, Kind::Act) && ($place === 0 || ! $chart->isWord($place - 1)
            || $chart->isSmall($place - 1)
            || $chart->is($place - 1, Kind::Rest, Kind::TopUp));

        return $exact !== [] || ! $begins || ! $chart->isWord($place) ? $exact : $this->names->nearly($place, $chart);
    }
}
