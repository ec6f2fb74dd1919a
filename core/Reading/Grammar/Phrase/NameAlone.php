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

/** A thing that is named without an amount: "melt the shea", "no glycerine". */
final readonly class NameAlone implements Phrase
{
    /** A name that no amount belongs to. */
    private const COST = 0.9;

    private const REFUSED = 0.2;

    /** Small words between a negation and what it negates. */
    private const WORDS = 4;

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $not = $chart->past($place, Kind::Not);
        if ($not > $place) {
            // "Do not ever add any water".
            for ($at = $not; $at < $not + self::WORDS && $this->names->exactly($at, $chart) === []; $at++) {
                if (! $chart->is($at, Kind::Stop, Kind::Act, Kind::Of, Kind::Grade, Kind::Form)) {
                    break;
                }
            }
            foreach ($this->names->exactly($at, $chart) as $name) {
                yield new Found($name->to, self::REFUSED, [new Item(null, $name, out: true)]);
            }
            // "Never 5 ml of glycerine".
            for ($with = $not; $with < $not + self::WORDS && $chart->is($with, Kind::Stop, Kind::Act); $with++) {
                continue;
            }
            foreach (Quantities::at($with, $chart) as $amount) {
                foreach ($this->names->exactly($chart->past($amount->to, Kind::Of), $chart) as $name) {
                    yield new Found($name->to, self::REFUSED, [new Item($amount, $name, out: true)]);
                }
            }
        }
        foreach ($this->names->exactly($place, $chart) as $name) {
            // "For the conditioner bar": what is made.
            if ($chart->past($place, Kind::Product) >= $name->to) {
                continue;
            }
            $at = $chart->skip($name->to, ',', '(', '-');
            $liked = $chart->past($at, Kind::AsLiked);
            if ($liked > $at) {
                $amount = new Amount('', 0.0, Amount::LIKED, $name->to, $liked);
                yield new Found($chart->skip($liked, ')'), self::REFUSED, [new Item($amount, $name)]);
            }
            $out = $this->refused($name->to, $chart);
            if ($out !== null) {
                yield new Found($out, self::REFUSED, [new Item(null, $name, out: true)]);
            }
            yield new Found($name->to, self::COST, [new Item(null, $name)]);
        }
    }

    /** "Honey? no, leave it out", "water none!!": the token after what refuses a name. */
    private function refused(int $to, Chart $chart): ?int
    {
        $at = $chart->skip($to, '?', ':', '-', '–', '—', '=');
        $not = max($chart->past($at, Kind::Not), $chart->past($at, Kind::TookOut));
        $next = $chart->skip($not, ',');
        $more = $chart->past($next, Kind::TookOut);
        $names = $not > $at && $this->names->exactly($not, $chart) !== [];

        return $not > $at && ! $names && ! $chart->is($not, Kind::Act) ? ($more > $next ? $more : $not) : null;
    }
}
