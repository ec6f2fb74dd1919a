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

/** As much as covers the rest: "olive oil to cover", "enough olive oil to cover", "cover with olive oil". */
final readonly class Covering implements Phrase
{
    private const COST = 0.1;

    /** As AmountReader and the steeps know it. */
    private const TEXT = 'to cover';

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $with = $chart->past($place, Kind::CoverWith);
        foreach ($with > $place ? $this->names->exactly($chart->past($with, Kind::Of), $chart) : [] as $name) {
            yield $this->found($name, $place, $with, $name->to);
            yield from $this->told($name, $chart);
        }
        foreach ($chart->holds(Kind::Cover) ? $this->names->exactly($place, $chart) : [] as $name) {
            $at = $chart->skip($name->to, ',', '(', '-', '–', ':');
            $to = $chart->past($at, Kind::Cover);
            if ($to > $at) {
                yield $this->found($name, $at, $to, $chart->skip($to, ')'));
            }
        }
    }

    /** @return iterable<Found> "cover with olive oil (took about 400 ml)" */
    private function told(Named $name, Chart $chart): iterable
    {
        $at = $chart->isSign($name->to, '(') ? $name->to + 1 : $chart->length;
        $at = $chart->is($at, Kind::Stop) ? $at + 1 : $at;
        foreach (Quantities::at($at, $chart) as $amount) {
            if (! $amount->isBare() && $chart->isSign($amount->to, ')')) {
                yield new Found($amount->to + 1, self::COST + $name->cost, [new Item($amount, $name)]);
            }
        }
    }

    private function found(Named $name, int $from, int $to, int $end): Found
    {
        $amount = new Amount(self::TEXT, 0.0, Amount::COVER, $from, $to);

        return new Found($end, self::COST + $name->cost, [new Item($amount, $name)]);
    }
}
