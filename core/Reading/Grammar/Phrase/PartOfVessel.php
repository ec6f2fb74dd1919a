<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Numbers;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** "Half a tub of shea (250 g tub)", "a small glass (150 ml) of almond oil", "a 250 g tub of shea". */
final readonly class PartOfVessel implements Phrase
{
    private const COST = 0.05;

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $number = Numbers::at($place, $chart);
        $isOne = $chart->is($place, Kind::Article);
        if ($number === null && ! $isOne) {
            return;
        }
        [$at, $count] = $number ?? [$place + 1, 1.0];
        $at = $chart->past($at, Kind::Of);
        $at = $chart->past($at, Kind::Article);
        [$at, $size] = $this->size($at, $chart);
        $at = $chart->past($at, Kind::Heap, Kind::Grade);
        $vessel = $this->vessel($at, $chart);
        if ($vessel > $at) {
            yield from $this->named($place, $vessel, $count, $size, $chart);
        }
    }

    /** @return iterable<Found> */
    private function named(int $place, int $vessel, float $count, ?Amount $size, Chart $chart): iterable
    {
        [$of, $size] = $size === null ? $this->inBrackets($vessel, $chart) : [$vessel, $size];
        $from = $chart->past($of, Kind::Of);
        foreach ($from > $of ? $this->names->exactly($from, $chart) : [] as $name) {
            [$to, $size] = $size === null ? $this->inBrackets($name->to, $chart) : [$name->to, $size];
            if ($size !== null) {
                $amount = Amount::of($count * $size->count, $size->unit, $place, $of);
                yield new Found($to, self::COST + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    /** The token after what holds it: "tub", "bag", "shot glass"; the place itself for none. */
    private function vessel(int $place, Chart $chart): int
    {
        $vessel = $chart->past($place, Kind::Vessel);

        return $vessel > $place ? $vessel : $chart->past($place, Kind::Pack);
    }

    /** @return array{int, Amount|null} "250 g" */
    private function size(int $place, Chart $chart): array
    {
        $amount = Quantities::at($place, $chart)[0] ?? null;
        $isSize = $amount !== null && in_array($amount->unit, ['g', 'kg', 'ml', 'l', 'oz', 'fl oz'], true);

        return $isSize ? [$chart->skip($amount->to, '-'), $amount] : [$place, null];
    }

    /** @return array{int, Amount|null} "(250 g tub)" */
    private function inBrackets(int $place, Chart $chart): array
    {
        if (! $chart->isSign($place, '(')) {
            return [$place, null];
        }
        [$to, $size] = $this->size($place + 1, $chart);
        $to = $chart->past($to, Kind::Vessel);

        return $size !== null && $chart->isSign($to, ')') ? [$to + 1, $size] : [$place, null];
    }
}
