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

/** A mix with what is in it: "100 g herb mix (nettle 40, horsetail 60)", "EO blend (lavender + ylang) 30 drops". */
final readonly class MixOf implements Phrase
{
    private const COST = 0.3;

    /** How near its parts come to the whole. */
    private const NEAR = 0.03;

    private const EQUAL = 'Its parts are not said. They were taken as equal.';

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        foreach (Quantities::at($place, $chart) as $amount) {
            $of = $chart->past($amount->to, Kind::Of);
            $head = $this->names->run($chart->past($of, Kind::Mine, Kind::Article), $chart);
            if (! $amount->isBare() && $amount->unit !== Amount::FRACTION && $head > $amount->to) {
                yield from $this->mix($amount, $head, $chart);
            }
        }
        $head = $this->names->run($place, $chart);
        [$to] = $head > $place && $chart->isSign($head, '(') ? $this->parts($head + 1, $chart) : [$head, []];
        $at = $chart->skip($to, ':', '-', '–', '=', ',');
        foreach ($to > $head ? Quantities::at($at, $chart) : [] as $amount) {
            if (! $amount->isBare() && $amount->unit !== Amount::FRACTION) {
                yield from $this->mix($amount, $head, $chart, $amount->to);
            }
        }
    }

    /**
     * @param  int  $head the token after what it is called
     * @param  int|null  $end the token after all of it; null for what closes the bracket
     * @return iterable<Found>
     */
    private function mix(Amount $amount, int $head, Chart $chart, ?int $end = null): iterable
    {
        if (! $chart->isSign($head, '(')) {
            return;
        }
        [$to, $parts] = $this->parts($head + 1, $chart);
        $items = count($parts) > 1 ? $this->shared($amount, $parts) : [];
        if ($items !== []) {
            yield new Found($end ?? $to, self::COST, $items);
        }
    }

    /**
     * What stands in a bracket, each with its figure.
     *
     * @return array{int, list<array{Named, float|null}>} the token after it; none where something else is in it
     */
    private function parts(int $place, Chart $chart): array
    {
        $parts = [];
        for ($at = $place; ! $chart->isSign($at, ')'); $at = $next) {
            [$from, $figure] = $this->figure($at, $chart);
            $name = $this->names->exactly($from, $chart)[0] ?? $this->names->nearly($from, $chart)[0] ?? null;
            if ($name === null || $name->cost >= Namings::UNKNOWN) {
                return [$place, []];
            }
            [$to, $figure] = $figure === null ? $this->figure($name->to, $chart) : [$name->to, $figure];
            $parts[] = [$name, $figure];
            $next = $chart->skip($to, ',', '+', '&', '/', ';');
            $next = max($next, $chart->past($next, Kind::Plus));
            if ($next === $to && ! $chart->isSign($to, ')')) {
                return [$place, []];
            }
        }

        return [$at + 1, $parts];
    }

    /** @return array{int, float|null} a figure alone, or a share; what has a unit is an amount of its own */
    private function figure(int $place, Chart $chart): array
    {
        $amount = Quantities::at($place, $chart)[0] ?? null;
        $isPart = $amount !== null && ($amount->isBare() || in_array($amount->unit, ['%', 'parts'], true));

        return $isPart ? [$amount->to, $amount->count] : [$place, null];
    }

    /**
     * @param  list<array{Named, float|null}>  $parts
     * @return list<Item> empty where their figures do not come to the whole
     */
    private function shared(Amount $amount, array $parts): array
    {
        $known = array_filter(array_column($parts, 1), static fn (?float $f): bool => $f !== null);
        $sum = array_sum($known);
        $isEqual = $known === [];
        $fits = count($known) === count($parts) && ($this->isNear($sum, $amount->count) || $this->isNear($sum, 100.0)
            || $sum < 20.0);
        if (! $isEqual && ! $fits) {
            return [];
        }

        return array_map(static fn (array $part): Item => new Item(
            Amount::of(
                round($amount->count * ($isEqual ? 1.0 / count($parts) : ($part[1] ?? 0.0) / $sum), 3),
                $amount->unit,
                $amount->from,
                $amount->to,
            ),
            $part[0],
            doubt: $isEqual ? self::EQUAL : '',
        ), $parts);
    }

    private function isNear(float $sum, float $whole): bool
    {
        return abs($sum - $whole) <= self::NEAR * $whole;
    }
}
