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

/** "2 tbsp of castor oil", "a third castor", "60 argan". */
final readonly class AmountThenName implements Phrase
{
    private const COST = 0.05;

    /** A figure without a unit may be anything. */
    private const BARE = 0.6;

    private const OF_THE = 0.15;

    private const NOT_IN = 3.0;

    /** Words of what says that something is not in it. */
    private const BESIDE = 4;

    public function __construct(private Namings $names, private Tails $tails)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        foreach (Quantities::at($place, $chart) as $amount) {
            yield from $this->alone($amount, $chart);
            yield from $this->inBrackets($amount, $chart);
            $of = $this->of($amount, $chart);
            $it = $chart->past($of, Kind::It);
            // "5 ml of this: …" is of what follows.
            $isIt = $of > $amount->to && $it > $of && ! $chart->isSign($it, ':')
                && ! $chart->is($amount->to, Kind::Total) && $this->names->exactly($it, $chart) === [];
            if (! $amount->isBare() && $isIt) {
                yield new Found($it, self::COST, [new Item($amount, new Named('', 0.0, $of, $it))]);
            } else {
                yield from $this->named($amount, $of, $chart);
            }
        }
    }

    /** The token after what joins an amount with its name: "of", "tubs of", "→". */
    private function of(Amount $amount, Chart $chart): int
    {
        // "2 x 113 g tubs of shea".
        $holds = $chart->past($amount->to, Kind::Vessel, Kind::Pack);
        $end = $amount->isBare() || ! $chart->is($holds, Kind::Of) ? $amount->to : $holds;
        $of = $chart->skip($chart->past($end, Kind::Of), ')', 'x', '×');

        return $amount->isBare() ? $of : $chart->skip($of, '→', '>', '–', '—');
    }

    /** @return iterable<Found> "2 (shea) + 1 (olive)" */
    private function inBrackets(Amount $amount, Chart $chart): iterable
    {
        foreach ($chart->isSign($amount->to, '(') ? $this->names->exactly($amount->to + 1, $chart) : [] as $name) {
            if ($chart->isSign($name->to, ')')) {
                yield new Found($name->to + 1, self::COST + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    /** @return iterable<Found> "60 ml: olive oil", "60 ml - olive oil": nothing but one in its row */
    private function alone(Amount $amount, Chart $chart): iterable
    {
        $at = $chart->skip($amount->to, ':', '-', '=');
        $names = $amount->from === 0 && $at > $amount->to && ! $amount->isBare()
            ? [...$this->names->exactly($at, $chart), ...$this->names->nearly($at, $chart)] : [];
        foreach ($names as $name) {
            if ($chart->token($name->to) === null && $name->cost < Namings::UNKNOWN) {
                yield new Found($name->to, self::COST + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    /** @return iterable<Found> */
    private function named(Amount $amount, int $of, Chart $chart): iterable
    {
        $at = $this->begin($amount, $of, $chart);
        if ($chart->is($at, Kind::Each)) {
            return;
        }
        // What is spoken of as known may be what was made before. "Melt it over a cup of hot tea" is beside it.
        $known = ($at > $of && $of > $amount->to ? self::OF_THE : 0.0)
            + ($this->isBehind($amount->from, Kind::Beside, $chart) ? self::NOT_IN : 0.0);
        $amount = $this->meant($amount, $chart);
        $cost = self::COST + $known + ($amount->isBare() ? self::BARE : 0.0);
        $isOut = $this->isBehind($amount->from, Kind::NotMixed, $chart);
        foreach ($this->called($amount, $at, $chart) as $name) {
            $more = $name->cost < Namings::UNKNOWN ? 0.0 : $known;
            $name = new Named($name->text, $name->cost + $more, $name->from, $name->to);
            $item = new Item($amount, $name);
            yield from $this->tails->of(
                $isOut ? $item->left() : $item,
                $name->to,
                $cost + $name->cost + ($this->isSaidBehind($amount, $name, $chart) ? self::NOT_IN : 0.0),
                $chart,
            );
        }
    }

    /** Whether it stands behind words of a kind: "over a cup of tea", "rinse with 2 l of water". */
    private function isBehind(int $place, Kind $kind, Chart $chart): bool
    {
        for ($back = 1; $back <= self::BESIDE && $place >= $back; $back++) {
            if ($chart->past($place - $back, $kind) === $place) {
                return true;
            }
        }

        return false;
    }

    /** "Five of cedarwood" is of the unit before; "halfway with olive oil" is a level, and no share. */
    private function meant(Amount $amount, Chart $chart): Amount
    {
        // "Una yema" is one of it, and no measure.
        $isSaid = $chart->is($amount->to, Kind::Of)
            || ($chart->inWords($amount->from, $amount->to) && ! $chart->is($amount->from, Kind::Article));

        return match (true) {
            $amount->unit === Amount::BARE && $isSaid => $amount->is($amount->text, unit: Amount::SAME),
            str_starts_with(mb_strtolower($amount->text), 'halfway') => $amount->is('', unit: Amount::LEVEL),
            default => $amount,
        };
    }

    /** "Enough olive oil to cover", "some water up to 100 ml". */
    private function isSaidBehind(Amount $amount, Named $name, Chart $chart): bool
    {
        $upTo = $chart->past($name->to, Kind::UpTo);

        return $amount->isLoose()
            && ($chart->is($name->to, Kind::Cover) || ($upTo > $name->to && Quantities::at($upTo, $chart) !== []));
    }

    /** Where the name begins: behind "of the", and behind what joins a part with it. */
    private function begin(Amount $amount, int $of, Chart $chart): int
    {
        if ($of === $amount->to) {
            // "A third with castor oil", "9 g the good stuff".
            $isNamed = $amount->isBare() || $this->names->exactly($of, $chart) !== [];

            return $amount->unit === Amount::FRACTION
                ? $chart->past($of, Kind::Plus, Kind::Stop)
                : ($isNamed ? $of : $chart->past($of, Kind::Article));
        }
        // "60 ml of the tea", "30 g of your butter"; but "of my peppermint oil".
        $isHers = $chart->is($of, Kind::Mine);

        return $isHers || $this->names->exactly($of, $chart) !== [] ? $of : $chart->past($of, Kind::Stop);
    }

    /** @return list<Named> a figure without a unit belongs to no name that is only like one */
    private function called(Amount $amount, int $at, Chart $chart): array
    {
        $exact = $this->names->exactly($at, $chart);
        if ($exact === [] && $chart->is($at, Kind::Mine)) {
            // Hers, and not one that is bought: "my peppermint oil".
            return array_map(
                static fn (Named $n): Named => new Named('my '.$n->text, $n->cost, $at, $n->to),
                $this->names->exactly($chart->past($at, Kind::Mine), $chart),
            );
        }
        $run = $exact === [] ? $at : $this->names->run($at, $chart);
        if ($exact !== [] && $run > $exact[0]->to) {
            // "Black seed oyl": what follows a name may be its end, written otherwise.
            $whole = $this->names->whole($at, $run, $chart);

            return $amount->unit === Amount::BARE && ($whole[0]->cost ?? 0.0) > Namings::SURELY
                ? $exact
                : [...$exact, ...$whole];
        }

        // Of what is only like a name, a figure without a unit takes what is surely meant.
        return $exact !== [] ? $exact : array_values(array_filter(
            $this->names->nearly($at, $chart),
            static fn (Named $n): bool => $amount->unit !== Amount::BARE || $n->cost < Namings::SURELY,
        ));
    }
}
