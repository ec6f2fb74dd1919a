<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** "… to every fluid ounce of fractionated coconut", "per 30 ml of jojoba": how much of it the rest is for. */
final readonly class ForSoMuch implements Phrase
{
    private const COST = 0.1;

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $per = $chart->past($place, Kind::Per);
        if ($per === $place) {
            return;
        }
        foreach ($this->amounts($per, $chart) as $amount) {
            $of = $chart->past($amount->to, Kind::Of);
            foreach ($of > $amount->to ? $this->names->exactly($of, $chart) : [] as $name) {
                yield new Found($name->to, self::COST + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    /** @return list<Amount> "30 ml", or a unit alone: "every ounce" */
    private function amounts(int $place, Chart $chart): array
    {
        $unit = $chart->value($place, Kind::Unit);

        return [
            ...array_filter(
                Quantities::at($place, $chart),
                static fn (Amount $a): bool => $a->unit !== Amount::BARE && $a->unit !== Amount::FRACTION,
            ),
            ...is_string($unit) ? [Amount::of(1.0, $unit, $place, $chart->past($place, Kind::Unit))] : [],
        ];
    }
}
