<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
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

    private const SIGNS = [':', '-', '–', '—', '=', ',', '|', '.', '…', '*', '→', '>'];

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
            $opens = $chart->isSign($signs, '(', '[') ? $signs + 1 : $signs;
            // "Castor x1 tbsp".
            $opens = $chart->isWord($opens) ? $chart->past($opens, Kind::Times) : $opens;
            // "Castor, 30 g of argan": a comma stands between two as well.
            $cost = self::COST + $name->cost + ($chart->isSign($name->to, ',', '.') ? 0.15 : 0.0);
            foreach (Quantities::at($opens, $chart) as $amount) {
                $to = $opens > $signs ? $this->closed($amount->to, $chart) : $amount->to;
                // A figure may be of the name: "BTMS-50".
                $isOfName = $amount->isBare() && $amount->from < ($this->names->exactly($place, $chart)[0]->to ?? 0);
                // "Mango butter (2/3 of the jar)".
                $vessel = $chart->past($chart->past($chart->past($amount->to, Kind::Of), Kind::Article), Kind::Vessel);
                // "Castor, a third of the bottle", "aloe juice 1/3".
                $ends = $vessel > $amount->to || ! $chart->isWord($vessel);
                $isPart = $amount->unit === Amount::FRACTION && $name->cost < Namings::DOUBTFUL && ($opens > $signs || $ends);
                $to = match (true) {
                    ! $isPart => $to,
                    $opens > $signs => $this->closed($vessel, $chart),
                    default => $vessel,
                };
                $cost += $isPart && $opens === $signs ? 0.2 : 0.0;
                if ($to === null || ($amount->unit === Amount::FRACTION && ! $isPart) || $isOfName) {
                    continue;
                }
                // A figure without a unit belongs to no name that is hardly one.
                // It may in a row that says nothing else.
                $isRow = ($place === 0 || ! $chart->isWord($place - 1)) && ! $chart->isWord($to)
                    && $chart->token($to)?->number === null;
                $isHardly = $amount->isBare() && $name->cost > Namings::DOUBTFUL;
                if ($isHardly && ! $isRow && ! $chart->isSign($amount->to, '(')) {
                    continue;
                }
                $bare = $amount->isBare() ? self::BARE : 0.0;
                $amount = $bare > 0.0 && ! $chart->isWord($to) ? $amount->is($amount->text, unit: Amount::SAME)
                    : $amount;
                yield from $this->tails->of(new Item($amount, $name, $others), $to, $cost + $bare, $chart);
            }
        }
    }

    /** @return list<Named> by the letter, or what begins a piece of the row and goes up to the amount */
    private function called(int $place, Chart $chart): array
    {
        $exact = $this->names->exactly($place, $chart);
        $begins = $place === 0 || ! $chart->isWord($place - 1) || $chart->is($place - 1, Kind::Plus, Kind::Stop, Kind::Unit);
        $to = $begins ? $this->names->run($place, $chart) : $place;
        $to = $to > $place && $chart->isSign($to, '(') ? $this->names->bracket($to, $chart) ?? $to : $to;
        $amount = $chart->skip($to, '(', ...self::SIGNS);

        // Only what an amount follows is looked for by likeness.
        $isAsked = $to > ($exact[0]->to ?? $place) && mb_strlen($chart->text($place, $to)) > 2
            && Quantities::at($amount, $chart) !== [];

        return $isAsked ? [...$exact, ...$this->names->whole($place, $to, $chart)] : $exact;
    }

    private function closed(int $place, Chart $chart): ?int
    {
        $to = $chart->skip($place, ')', ']');

        return $to > $place ? $to : null;
    }
}
