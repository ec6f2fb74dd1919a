<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Phrase;

/** A thing that is named without an amount: "melt the shea", "no glycerine". */
final readonly class NameAlone implements Phrase
{
    /** A name that no amount belongs to. */
    private const COST = 0.9;

    private const REFUSED = 0.2;

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $not = $chart->past($place, Kind::Not);
        if ($not > $place) {
            $at = $chart->past($not, Kind::Of);
            foreach ($this->names->exactly($at, $chart) as $name) {
                yield new Found($name->to, self::REFUSED, [new Item(null, $name, out: true)]);
            }
        }
        foreach ($this->names->exactly($place, $chart) as $name) {
            yield new Found($name->to, self::COST, [new Item(null, $name)]);
        }
    }
}
