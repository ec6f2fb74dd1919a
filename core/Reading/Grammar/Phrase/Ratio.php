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
use Crown\Reading\Grammar\Numbers;
use Crown\Reading\Grammar\Phrase;
use Crown\Reading\Grammar\Quantities;

/** "3:2:1 shea, castor and argan", "castor and jojoba 2:1", "shea to oil 4 to 1". */
final readonly class Ratio implements Phrase
{
    private const COST = 0.1;

    private const MOST = 12;

    public function __construct(private NameLists $lists)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $ratio = self::figures($place, $chart);
        if ($ratio !== null) {
            [$to, $figures] = $ratio;
            $at = $chart->skip($to, ',', ':', '-', '–', '—', ')', '(', '=');
            $at = $chart->past($at, Kind::RatioWord);
            $at = $chart->skip($chart->past($at, Kind::Of), ':', '(');
            $lists = [...$this->lists->at($at, $chart), ...$this->lists->adjacent($at, count($figures), $chart)];
            foreach ($lists as $names) {
                if (count($names) === count($figures)) {
                    $end = $names[count($names) - 1]->to;
                    yield new Found($end, self::COST + NameLists::cost($names), $this->items($names, $figures,
                        $place, $to));
                }
            }
        }
        yield from $chart->hasSign(':') ? $this->each($place, $chart) : [];
        yield from $this->led($place, $chart);
        foreach ($this->isAnywhere($chart) ? $this->lists->at($place, $chart) : [] as $names) {
            $at = $names[count($names) - 1]->to;
            for ($skipped = 0; $skipped < 6 && $this->leads($at, $chart); $skipped++) {
                $at++;
            }
            $ratio = self::figures($at, $chart);
            if ($ratio !== null && count($ratio[1]) === count($names)) {
                yield new Found(
                    $chart->skip($ratio[0], ')'),
                    self::COST + NameLists::cost($names),
                    $this->items($names, $ratio[1], $at, $ratio[0]),
                );
            }
        }
        foreach ($chart->isWord($place) ? $this->lists->at($place, $chart) : [] as $names) {
            yield from $this->summed($names, $chart);
        }
    }

    /** @return iterable<Found> "shea 7 : coconut 2 : beeswax 1", "3 castor : 2 olive" */
    private function each(int $place, Chart $chart): iterable
    {
        [$names, $figures] = [[], []];
        for ($at = $place; ; $at = $to + 1) {
            [$name, $figure, $to] = $this->one($at, $chart) ?? [null, 0.0, $at];
            if ($name === null) {
                return;
            }
            [$names[], $figures[]] = [$name, $figure];
            if (! $chart->isSign($to, ':')) {
                break;
            }
        }
        if (count($names) > 1) {
            yield new Found($to, self::COST + NameLists::cost($names), $this->items($names, $figures, $place, $to));
        }
    }

    /** @return array{Named, float, int}|null a name with its figure, either first, and the token after both */
    private function one(int $place, Chart $chart): ?array
    {
        $first = Numbers::at($place, $chart);
        $name = $this->lists->name($first === null ? $place : $chart->past($first[0], Kind::Of), $chart);
        $last = $name === null || $first !== null ? $first : Numbers::at($name->to, $chart);
        $to = max($name->to ?? $place, $last[0] ?? $place);

        return $name === null || $last === null || $chart->is($last[0], Kind::Unit) || $chart->isSign($to, '%')
            ? null
            : [$name, $last[1], $to];
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @return iterable<Found> "castor + olive + grapeseed 30 + 30 + 40 ml": one unit behind as many figures
     */
    private function summed(array $names, Chart $chart): iterable
    {
        $from = $names[count($names) - 1]->to;
        for ($skipped = 0; $skipped < 6 && $this->leads($from, $chart); $skipped++) {
            $from++;
        }
        $amounts = $this->oneUnit($from, $chart);
        if (count($amounts) === count($names)) {
            $to = $chart->skip($amounts[count($amounts) - 1]->to, ')');
            yield new Found($to, self::COST + NameLists::cost($names), self::paired($names, $amounts));
        }
    }

    /** @return iterable<Found> "30, 60 and 10 ml of castor, olive and almond" */
    private function led(int $place, Chart $chart): iterable
    {
        $amounts = $this->oneUnit($place, $chart);
        $at = $amounts === [] ? $place : $chart->past($amounts[count($amounts) - 1]->to, Kind::Of);
        foreach ($amounts === [] ? [] : $this->lists->at($at, $chart) as $names) {
            if (count($names) === count($amounts)) {
                $to = $names[count($names) - 1]->to;
                yield new Found($to, self::COST + NameLists::cost($names), self::paired($names, $amounts));
            }
        }
    }

    /** @return list<Amount> "30, 60 and 10 ml": figures of which the last alone has its unit; none for anything else */
    private function oneUnit(int $place, Chart $chart): array
    {
        $amounts = [];
        for ($at = $place; ; $at = $next) {
            $amount = Quantities::at($at, $chart)[0] ?? null;
            if ($amount === null || $amount->isLoose() || $amount->unit === Amount::FRACTION) {
                return [];
            }
            $amounts[] = $amount;
            if (! $amount->isBare()) {
                break;
            }
            $next = $chart->skip($amount->to, '+', '/', ',', ')', ':');
            $next = $chart->past($next, Kind::Plus);
            if ($next === $amount->to) {
                return [];
            }
        }

        return count($amounts) < 2 ? [] : array_map(
            static fn (Amount $a): Amount => Amount::of($a->count, $amount->unit, $a->from, $a->to),
            $amounts,
        );
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @param  list<Amount>  $amounts as many
     * @return list<Item>
     */
    private static function paired(array $names, array $amounts): array
    {
        return array_map(static fn (Named $n, Amount $a): Item => new Item($a, $n), $names, $amounts);
    }

    /** @see figures() */
    private function isAnywhere(Chart $chart): bool
    {
        return $chart->once(self::class, 0, function () use ($chart): array {
            for ($place = 0; $place < $chart->length; $place++) {
                if (self::figures($place, $chart) !== null) {
                    return [true];
                }
            }

            return [false];
        })[0];
    }

    /** What may stand between the names and their ratio: "at a ratio of", "(", ",". */
    private function leads(int $place, Chart $chart): bool
    {
        return $chart->isSign($place, ',', ':', '(', ')', '-', '–', '—', '=')
            || $chart->is($place, Kind::RatioWord, Kind::Stop);
    }

    /** @return array{int, non-empty-list<float>}|null the token after a ratio and its figures, two or more */
    public static function figures(int $place, Chart $chart): ?array
    {
        $hundred = self::ofHundred($place, $chart);
        if ($hundred !== null) {
            return $hundred;
        }
        $first = Numbers::at($place, $chart);
        if ($first === null) {
            return null;
        }
        [$at, $figures] = [$first[0], [$first[1]]];
        $isTold = false;
        while (count($figures) < self::MOST) {
            $isWord = $chart->is($at, Kind::RatioTo) && count($figures) === 1;
            $between = $chart->isSign($at, ':', '/', '-', '+') ? $at + 1 : ($isWord ? $chart->past($at, Kind::RatioTo)
                : $at);
            $next = $between > $at ? Numbers::at($between, $chart) : null;
            if ($next === null) {
                break;
            }
            $isTold = $isTold || $chart->isSign($at, ':') || ($isWord && $figures[0] > $next[1]);
            $figures[] = $next[1];
            $at = $next[0];
        }
        // Two figures with a stroke between are a part, or a range.
        $isRatio = count($figures) > 2 || (count($figures) === 2 && $isTold);

        return $isRatio && ! $chart->is($at, Kind::Unit) && ! $chart->isSign($at, '%') ? [$at, $figures] : null;
    }

    /** @return array{int, non-empty-list<float>}|null "70/30": a pair that comes to a hundred */
    private static function ofHundred(int $place, Chart $chart): ?array
    {
        $text = $chart->token($place)->text ?? '';
        $isPair = preg_match('/^(\d{1,2})\/(\d{1,2})$/', $text, $m) === 1 && (int) $m[1] + (int) $m[2] === 100;

        return $isPair ? [$place + 1, [(float) $m[1], (float) $m[2]]] : null;
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @param  non-empty-list<float>  $figures
     * @return list<Item>
     */
    private function items(array $names, array $figures, int $from, int $to): array
    {
        // "50/50" is said in per cent, as is "70:20:10".
        $unit = array_sum($figures) === 100.0 ? '%' : 'parts';

        return array_map(
            static fn (Named $n, float $f): Item => new Item(Amount::of($f, $unit, $from, $to), $n),
            $names,
            $figures,
        );
    }
}
