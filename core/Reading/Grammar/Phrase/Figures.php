<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Fate;
use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Aside;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** Amounts of what another row names: "3:2:1" over "grapeseed : castor : argan", "amounts: 120 g, 30 g". */
final readonly class Figures implements Phrase
{
    private const COST = 0.4;

    public function from(int $place, Chart $chart): iterable
    {
        $ratio = Ratio::figures($place, $chart);
        if ($ratio !== null) {
            [$to, $figures] = $ratio;
            $amounts = array_map(static fn (float $f): Amount => Amount::of($f, 'parts', $place, $to), $figures);
            yield new Found($to, self::COST, [], new Aside(Fate::Amount, Aside::FIGURES, amounts: $amounts));
        }
        // "A 50 30 20": a row of a table with its own name.
        $opens = $place === 1 && ($chart->isSign(0, '(', '[') || $chart->isWord(0));
        $amounts = $place === 0 || $opens || $chart->isSign($place - 1, ':') ? $this->listed($place, $chart) : [];
        if (count($amounts) > 1) {
            $last = $amounts[count($amounts) - 1];
            yield new Found($last->to, self::COST, [], new Aside(Fate::Amount, Aside::FIGURES, amounts: $amounts));
        }
    }

    /** @return list<Amount> one after the other, up to the end of the sentence */
    private function listed(int $place, Chart $chart): array
    {
        $amounts = [];
        for ($at = $place; $at < $chart->length && ! $chart->isSign($at, '.', ')', ']');) {
            $amount = Quantities::at($at, $chart)[0] ?? null;
            if ($amount === null || $amount->unit === Amount::FRACTION) {
                return [];
            }
            $amounts[] = $amount;
            $at = $chart->skip($amount->to, ',', '/', ';', '|', '+');
            $at = $chart->past($at, Kind::Plus);
        }

        return $this->inOneUnit($amounts);
    }

    /**
     * "Grams: 50, 30, 20", "50, 30 and 20 g": the unit that one of them has is that of all.
     *
     * @param  list<Amount>  $amounts
     * @return list<Amount>
     */
    private function inOneUnit(array $amounts): array
    {
        $measured = array_values(array_filter($amounts, static fn (Amount $a): bool => ! $a->isBare()));
        $unit = count($measured) === 1 ? $measured[0]->unit : '';

        return $unit === '' ? $amounts : array_map(
            static fn (Amount $a): Amount => Amount::of($a->count, $unit, $a->from, $a->to),
            $amounts,
        );
    }
}
