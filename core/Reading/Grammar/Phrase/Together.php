<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Named;
use Crown\Reading\Grammar\NameLists;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** One amount for several: "2 tbsp each of A and B", "A, B and C, 30 g each", "equal parts A, B and C". */
final readonly class Together implements Phrase
{
    private const COST = 0.1;

    public function __construct(private NameLists $lists)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        if (! $chart->holds(Kind::Each) && ! $chart->holds(Kind::Equal)) {
            return;
        }
        $equal = $chart->past($place, Kind::Equal);
        if ($equal > $place) {
            yield from $this->behind($chart->past($equal, Kind::Of), Amount::of(1.0, 'parts', $place, $equal), $chart);
        }
        // "Je 2 EL", "each 30 g".
        // "For each 100 g" is another thing.
        $isPer = $chart->past($place - 1, Kind::Per) > $place;
        $each = $chart->past($place, Kind::Each);
        foreach ($isPer ? [] : Quantities::at($each, $chart) as $amount) {
            $to = max($chart->past($amount->to, Kind::Each), $each > $place ? $amount->to : 0);
            if ($to > $amount->to || $each > $place) {
                $at = $chart->skip($chart->past($to, Kind::Of), ':', ',');
                yield from $this->behind($at, $amount->spanning($place, $to), $chart);
            }
        }
        foreach ($this->lists->at($place, $chart) as $names) {
            yield from $this->before($names, $chart);
        }
    }

    /** @return iterable<Found> the names follow */
    private function behind(int $at, Amount $amount, Chart $chart): iterable
    {
        foreach ($this->lists->at($at, $chart) as $names) {
            yield new Found(
                $names[count($names) - 1]->to,
                self::COST + NameLists::cost($names),
                $this->items($names, $amount),
            );
        }
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @return iterable<Found> the names come first
     */
    private function before(array $names, Chart $chart): iterable
    {
        $at = $chart->skip($names[count($names) - 1]->to, ',', ':', '-', '–', '—', '(', '=');
        $at = $chart->is($at, Kind::Equal) ? $at : $chart->past($at, Kind::EqualLed);
        $equal = $chart->past($at, Kind::Equal);
        $cost = self::COST + NameLists::cost($names);
        if ($equal > $at) {
            $amount = Amount::of(1.0, 'parts', $at, $equal);
            yield new Found($chart->skip($equal, ')'), $cost, $this->items($names, $amount));
        }
        $each = $chart->past($at, Kind::Each);
        foreach (Quantities::at($each, $chart) as $amount) {
            $to = $chart->past($amount->to, Kind::Each);
            if ($to > $amount->to || $each > $at) {
                yield new Found($chart->skip($to, ')'), $cost, $this->items($names, $amount->spanning($at, $to)));
            }
        }
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @return list<Item>
     */
    private function items(array $names, Amount $amount): array
    {
        return array_map(static fn (Named $n): Item => new Item($amount, $n), $names);
    }
}
