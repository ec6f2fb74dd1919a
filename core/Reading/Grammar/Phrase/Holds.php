<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Fate;
use Crown\Reading\Grammar\Aside;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** What a measure of her own holds: "1 scoop = 15 ml", "a shot glass (45 ml)", "my mug holds 250 ml". */
final readonly class Holds implements Phrase
{
    private const COST = 0.1;

    private const UNITS = ['g', 'ml', 'oz', 'fl oz', 'tbsp', 'tsp', 'cups'];

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $isOne = $chart->token($place)?->number === 1.0;
        $at = $isOne ? $place + 1 : $chart->past($place, Kind::Article, Kind::Mine);
        $kind = $chart->past($at, Kind::Loose, Kind::Pack);
        $isKnown = $kind > $at;
        $to = $isKnown ? $kind : $at + 1;
        // What a bottle holds is the size of it all, and an oil is no measure.
        $isOther = $chart->is($at, Kind::Unit, Kind::Vessel, Kind::Product);
        if ($at === $place || ! $chart->isWord($at) || $isOther
            || (! $isKnown && ($this->names->exactly($at, $chart) !== [] || $chart->is($at, Kind::Stop)))) {
            return;
        }
        $opens = $isKnown && $chart->isSign($to, '(');
        $says = $opens ? $to + 1 : max($chart->skip($to, '=', '≈'), $chart->past($to, Kind::Link));
        foreach ($says > $to ? Quantities::at($says, $chart) : [] as $amount) {
            $ends = $opens ? $chart->isSign($amount->to, ')')
                : ! $chart->is($amount->to, Kind::Of) && $this->names->exactly($amount->to, $chart) === [];
            if ($ends && ! $amount->isLoose() && in_array($amount->unit, self::UNITS, true)) {
                $chart->measures->keep($chart->tokens[$at]->word, $amount->count, $amount->unit);
                $end = $opens ? $amount->to + 1 : $amount->to;
                yield new Found($end, self::COST, [], new Aside(Fate::Size));
            }
        }
    }
}
