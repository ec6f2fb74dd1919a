<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Named;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;
use Crown\Reading\Grammar\Tails;

/** "Castor oil 30 g", "castor = 30", "castor oil (2 tbsp)", "castor ...... 30 ml". */
final readonly class NameThenAmount implements Phrase
{
    private const COST = 0.12;

    private const BARE = 0.5;

    private const COMMA = 0.15;

    private const PART = 0.2;

    /** With words beside the amount in its bracket. */
    private const REMARKED = 0.4;

    private const BRACKET = 12;

    private const SIGNS = [':', '-', '–', '—', '=', ',', '|', '.', '…', '*', '→', '>', '°', '†', '•', '·', '×', '?'];

    public function __construct(private Namings $names, private Tails $tails)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        if (! $chart->isWord($place)) {
            return;
        }
        foreach ($this->called($place, $chart) as $name) {
            [$end, $others] = $this->tails->between($name, $chart);
            $signs = $chart->skip($end, ...self::SIGNS);
            $isOpen = $chart->isSign($signs, '(', '[', '{') || $this->isAngled($signs, $chart);
            // "Castor x1 tbsp".
            $at = $chart->past($isOpen ? $signs + 1 : $signs, Kind::Times);
            foreach (Quantities::at($at, $chart) as $amount) {
                yield from $this->item(new Item($amount, $name, $others), $amount, $isOpen, $chart);
            }
            yield from $isOpen ? $this->remarked($name, $signs + 1, $chart) : [];
            yield from $this->linked($name, $chart);
        }
    }

    /** "<2 tbsp>", and not "<1 %". */
    private function isAngled(int $place, Chart $chart): bool
    {
        $amount = $chart->isSign($place, '<') ? Quantities::at($place + 1, $chart)[0] ?? null : null;

        return $amount !== null && $chart->isSign($amount->to, '>');
    }

    /** @return iterable<Found> "castor at 20 %", "castor oil is 30 ml", unless the amount is of what follows */
    private function linked(Named $name, Chart $chart): iterable
    {
        $at = max($chart->past($name->to, Kind::Link, Kind::SizeOf), $chart->skip($name->to, '@'));
        foreach ($at > $name->to ? Quantities::at($at, $chart) : [] as $amount) {
            $of = $chart->past($amount->to, Kind::Of);
            $isOther = $of > $amount->to || $this->names->exactly($of, $chart) !== [];
            if (! $isOther && ! $amount->isBare() && ! $amount->isLoose() && $amount->unit !== Amount::FRACTION) {
                yield new Found($amount->to, self::REMARKED + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    /** @return iterable<Found> "castor oil (for thickness, 30 ml)", "castor oil (30 ml, for thickness)" */
    private function remarked(Named $name, int $place, Chart $chart): iterable
    {
        $amounts = [];
        for ($at = $place; $at < $chart->length && $at < $place + self::BRACKET; $at++) {
            if ($chart->isSign($at, ')', ']')) {
                break;
            }
            $begins = $at === $place || $chart->isSign($at - 1, ',', ':', ';');
            $amount = $begins ? Quantities::at($at, $chart)[0] ?? null : null;
            $ends = $amount !== null && $chart->isSign($amount->to, ',', ';', ')', ']');
            if ($ends && ! $amount->isBare() && ! $amount->isLoose() && $amount->unit !== Amount::FRACTION) {
                $amounts[] = $amount;
            }
        }
        if (count($amounts) === 1 && $chart->isSign($at, ')', ']')) {
            yield new Found($at + 1, self::REMARKED + $name->cost, [new Item($amounts[0], $name)]);
        }
    }

    /**
     * @param  bool  $isOpen whether the amount stands in brackets
     * @return iterable<Found>
     */
    private function item(Item $item, Amount $amount, bool $isOpen, Chart $chart): iterable
    {
        $name = $item->name;
        $isPart = $amount->unit === Amount::FRACTION;
        $to = $isPart ? $this->part($name, $amount, $isOpen, $chart) : $amount->to;
        $to = $to !== null && $isOpen ? $this->closed($to, $chart) : $to;
        if ($to === null || ($amount->isBare() && ! $this->isFigureOf($name, $amount, $to, $chart))) {
            return;
        }
        // "Castor, 30 g of argan": a comma stands between two as well.
        $cost = self::COST + $name->cost + ($chart->isSign($name->to, ',', '.') ? self::COMMA : 0.0)
            + ($amount->isBare() ? self::BARE : 0.0) + ($isPart && ! $isOpen ? self::PART : 0.0);
        $ends = $amount->isBare() && ! $chart->isWord($to);

        yield from $this->tails->of(
            $ends ? $item->with($amount->is($amount->text, unit: Amount::SAME)) : $item,
            $to,
            $cost,
            $chart,
        );
    }

    /** "Castor, a third of the bottle", "mango butter (2/3 of the jar)": the token after it; null for no part. */
    private function part(Named $name, Amount $amount, bool $isOpen, Chart $chart): ?int
    {
        $of = $chart->past($chart->past($amount->to, Kind::Of), Kind::Article);
        $vessel = $chart->past($of, Kind::Vessel);
        $ends = $isOpen || $vessel > $amount->to || ! $chart->isWord($vessel);

        return $name->cost < Namings::DOUBTFUL && $ends ? $vessel : null;
    }

    /** A figure may be of the name ("BTMS-50"), and is of a name that is hardly one only in a piece of its own. */
    private function isFigureOf(Named $name, Amount $amount, int $to, Chart $chart): bool
    {
        $place = $name->from;
        $isPiece = ($place === 0 || ! $chart->isWord($place - 1)) && ! $chart->isWord($to)
            && $chart->token($to)?->number === null;
        $isOne = $name->cost <= Namings::DOUBTFUL || $isPiece || $chart->isSign($amount->to, '(');

        return $isOne && $amount->from >= ($this->names->exactly($place, $chart)[0]->to ?? 0);
    }

    /** @return list<Named> by the letter, or what begins a piece of the row and goes up to the amount */
    private function called(int $place, Chart $chart): array
    {
        $exact = $this->names->exactly($place, $chart);
        $begins = $place === 0 || ! $chart->isWord($place - 1)
            || $chart->is($place - 1, Kind::Plus, Kind::Stop, Kind::Unit);
        $to = $begins && ! $chart->is($place, Kind::Act) ? $this->names->run($place, $chart) : $place;
        $to = $to > $place && $chart->isSign($to, '(') ? $this->names->bracket($to, $chart) ?? $to : $to;
        $amount = $chart->skip($to, '(', ...self::SIGNS);

        // Only what an amount follows is looked for by likeness.
        $isAsked = $to > ($exact[0]->to ?? $place) && mb_strlen($chart->text($place, $to)) > 2
            && Quantities::at($amount, $chart) !== [];

        return $isAsked ? [...$exact, ...$this->names->whole($place, $to, $chart)] : $exact;
    }

    private function closed(int $place, Chart $chart): ?int
    {
        $to = $chart->skip($place, ')', ']', '}', '>');

        return $to > $place ? $to : null;
    }
}
