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

/** "Twice as much jojoba as castor", "the same amount of argan", "double the amount of olive". */
final readonly class TimesAs implements Phrase
{
    private const COST = 0.1;

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $times = $chart->value($place, Kind::TimesAs);
        if (! is_float($times)) {
            return;
        }
        $to = $chart->past($place, Kind::TimesAs);
        $at = $chart->past($to, Kind::Of);
        foreach ($this->names->exactly($at, $chart) as $name) {
            $amount = new Amount('', $times, Amount::TIMES, $place, $to);
            $as = $chart->past($name->to, Kind::AsMuch);
            foreach ($as > $name->to ? $this->names->exactly($as, $chart) : [] as $other) {
                $of = new Amount($other->text, $times, Amount::TIMES, $place, $to);
                yield new Found($other->to, self::COST, [new Item($of, $name)]);
            }
            yield new Found($name->to, self::COST + 0.1, [new Item($amount, $name)]);
        }
    }
}
