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

/**
 * One amount of several things: "60 ml of equal parts castor and olive", "half a cup of 50/50 jojoba and argan",
 * "100 g of shea and coconut 2:1", "70 % (olive + almond, half and half)".
 */
final readonly class Divided implements Phrase
{
    private const COST = 0.1;

    private const SIGNS = [',', ':', '(', '-', '–', '—', '='];

    public function __construct(private NameLists $lists)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        foreach (Quantities::at($place, $chart) as $amount) {
            if ($amount->isBare() || ($amount->isLoose() && $amount->unit !== Amount::FRACTION)) {
                continue;
            }
            $at = $chart->skip($chart->past($amount->to, Kind::Of), ...self::SIGNS);
            foreach ([...$this->led($at, $chart), ...$this->followed($at, $chart)] as [$to, $names, $parts]) {
                yield new Found(
                    $chart->skip($to, ')'),
                    self::COST + NameLists::cost($names),
                    $this->items($amount, $names, $parts),
                );
            }
        }
    }

    /** @return iterable<array{int, non-empty-list<Named>, list<float>}> how it is divided, and then the names */
    private function led(int $place, Chart $chart): iterable
    {
        [$to, $parts] = $this->parts($place, $chart);
        $at = $chart->skip($chart->past($chart->past($to, Kind::RatioWord), Kind::Of), ...self::SIGNS);
        foreach ($to > $place ? $this->lists->at($at, $chart) : [] as $names) {
            if (in_array(count($parts), [0, count($names)], true)) {
                yield [$names[count($names) - 1]->to, $names, $parts];
            }
        }
    }

    /** @return iterable<array{int, non-empty-list<Named>, list<float>}> the names, and then how it is divided */
    private function followed(int $place, Chart $chart): iterable
    {
        foreach ($this->lists->at($place, $chart) as $names) {
            $at = $chart->skip($names[count($names) - 1]->to, ...self::SIGNS);
            $at = $chart->past($at, Kind::RatioWord, Kind::EqualLed);
            [$to, $parts] = $this->parts($at, $chart);
            if ($to > $at && in_array(count($parts), [0, count($names)], true)) {
                yield [$to, $names, $parts];
            }
        }
    }

    /** @return array{int, list<float>} the token after what says how it is divided; no figures for equal parts */
    private function parts(int $place, Chart $chart): array
    {
        $equal = $chart->past($place, Kind::Equal);

        return $equal > $place ? [$equal, []] : Ratio::figures($place, $chart) ?? [$place, []];
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @param  list<float>  $parts
     * @return list<Item>
     */
    private function items(Amount $amount, array $names, array $parts): array
    {
        $parts = $parts === [] ? array_fill(0, count($names), 1.0) : $parts;
        $sum = array_sum($parts);

        return array_map(static fn (Named $name, float $part): Item => new Item(
            Amount::of(round($amount->count * $part / $sum, 4), $amount->unit, $amount->from, $amount->to),
            $name,
        ), $names, $parts);
    }
}
