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

/** "2 tbsp of castor oil", "a third castor", "60 argan". */
final readonly class AmountThenName implements Phrase
{
    private const COST = 0.05;

    /** A figure without a unit may be anything. */
    private const BARE = 0.6;

    private const OF_THE = 0.15;

    private const BESIDE = ['over', 'above'];

    private const NOT_IN = 3.0;

    public function __construct(private Namings $names, private Tails $tails)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        foreach (Quantities::at($place, $chart) as $amount) {
            $of = $chart->skip($chart->past($amount->to, Kind::Of), ')', 'x', '×');
            $at = $this->begin($amount, $of, $chart);
            if ($chart->is($at, Kind::Each)) {
                continue;
            }
            $isSaid = $chart->is($amount->to, Kind::Of) || $chart->inWords($amount->from, $amount->to);
            $amount = $amount->unit === Amount::BARE && $isSaid
                ? $amount->is($amount->text, unit: Amount::SAME)
                : $amount;
            // "Halfway with olive oil" is a level, and no share.
            $amount = str_starts_with(mb_strtolower($amount->text), 'halfway')
                ? $amount->is('', unit: Amount::LEVEL)
                : $amount;
            // What is spoken of as known may be what was made before.
            $known = $at > $of && $of > $amount->to ? self::OF_THE : 0.0;
            // "Melt it over a cup of hot tea": beside it, and not in it.
            $known += in_array($chart->token($place - 1)?->word, self::BESIDE, true) ? self::NOT_IN : 0.0;
            $cost = self::COST + $known + ($amount->isBare() ? self::BARE : 0.0);
            foreach ($this->called($amount, $at, $chart) as $name) {
                $name = $name->cost < Namings::UNKNOWN
                    ? $name
                    : new Named($name->text, $name->cost + $known, $name->from, $name->to);
                yield from $this->tails->of(new Item($amount, $name), $name->to, $cost + $name->cost, $chart);
            }
        }
    }

    /** Where the name begins: behind "of the", and behind what joins a part with it. */
    private function begin(Amount $amount, int $of, Chart $chart): int
    {
        if ($of === $amount->to) {
            // "A third with castor oil".
            return $amount->unit === Amount::FRACTION ? $chart->past($of, Kind::Plus, Kind::Stop) : $of;
        }
        // "60 ml of the tea", "30 g of your butter"; but "of my peppermint oil".
        $isHers = in_array($chart->token($of)?->word, ['my', 'our'], true);

        return $isHers || $this->names->exactly($of, $chart) !== [] ? $of : $chart->past($of, Kind::Stop);
    }

    /** @return list<Named> a figure without a unit belongs to no name that is only like one */
    private function called(Amount $amount, int $at, Chart $chart): array
    {
        $exact = $this->names->exactly($at, $chart);
        if ($exact === [] && in_array($chart->token($at)?->word, ['my', 'our'], true)) {
            // Hers, and not one that is bought: "my peppermint oil".
            return array_map(
                static fn (Named $n): Named => new Named('my '.$n->text, $n->cost, $at, $n->to),
                $this->names->exactly($at + 1, $chart),
            );
        }
        $run = $exact === [] ? $at : $this->names->run($at, $chart);
        if ($exact !== [] && $run > $exact[0]->to && $amount->unit !== Amount::BARE) {
            // "Black seed oyl": what follows a name may be its end, written otherwise.
            return [...$exact, ...$this->names->whole($at, $run, $chart)];
        }

        return $exact === [] && $amount->unit !== Amount::BARE ? $this->names->nearly($at, $chart) : $exact;
    }
}
