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
use Crown\Reading\Grammar\Numbers;
use Crown\Reading\Grammar\Phrase;

/**
 * An amount that is said of another: "twice as much jojoba as castor", "a third of that amount of argan", "4 x its
 * weight of olive"; behind the name "jojoba, half that", "coconut: half of the shea", "mango ditto".
 */
final readonly class TimesAs implements Phrase
{
    private const COST = 0.1;

    private const SIGNS = [',', ':', '-', '–', '—', '=', '(', '.', '…'];

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $relation = $this->relation($place, $chart);
        if ($relation !== null) {
            yield from $this->ahead($place, $relation[0], $relation[1], $chart);
        }
        foreach ($chart->isWord($place) ? $this->names->exactly($place, $chart) : [] as $name) {
            yield from $this->behind($name, $chart);
        }
    }

    /** @return iterable<Found> "twice as much jojoba as castor", "half of that in argan" */
    private function ahead(int $place, int $to, float $times, Chart $chart): iterable
    {
        $of = $chart->past($to, Kind::Of, Kind::Link);
        if ($chart->is($to - 1, Kind::It) && $of === $to) {
            return;
        }
        foreach ($this->called($chart->past($of, Kind::Article), $chart) as $name) {
            [$end, $other] = $this->other($name->to, $chart);
            if ($other !== null) {
                $of = new Amount($other, $times, Amount::TIMES, $place, $to);
                yield new Found($end, self::COST + $name->cost, [new Item($of, $name)]);
            }
            $amount = new Amount('', $times, Amount::TIMES, $place, $to);
            yield new Found($name->to, self::COST + 0.1 + $name->cost, [new Item($amount, $name)]);
        }
    }

    /** @return iterable<Found> "jojoba, half that", "jojoba: twice as much as the castor", "jojoba ditto" */
    private function behind(Named $name, Chart $chart): iterable
    {
        $at = $chart->skip($name->to, ...self::SIGNS);
        $same = $chart->past($at, Kind::SameAgain);
        [$to, $times] = $same > $at ? [$same, 1.0] : $this->relation($at, $chart) ?? [$at, 0.0];
        [$end, $other] = $to > $at ? $this->other($to, $chart) : [$at, null];
        if ($to === $at && $at > $name->to) {
            // "Jojoba, half of the coconut".
            [$to, $times] = Numbers::at($at, $chart) ?? [$at, 0.0];
            [$end, $other] = $times > 0.0 && $times < 1.0 && $chart->is($to, Kind::Of)
                ? $this->named($chart->past($to, Kind::Of), $chart)
                : [$at, null];
            $to = $end;
        }
        $to = max($to, $end);
        if ($to > $at && (! $chart->isWord($to) || $chart->is($to, Kind::Plus))) {
            $amount = new Amount($other ?? '', $times, Amount::TIMES, $at, $to);
            yield new Found($chart->skip($to, ')'), self::COST + $name->cost, [new Item($amount, $name)]);
        }
    }

    /** @return array{int, float}|null the token after it, and how many times: "twice as much", "a third of that" */
    private function relation(int $place, Chart $chart): ?array
    {
        [$at, $times] = Numbers::at($place, $chart) ?? [$place, 1.0];
        $of = $chart->past($at, Kind::Of, Kind::Times);
        $value = $chart->value($of, Kind::TimesAs);
        if (is_float($value)) {
            return [$chart->past($of, Kind::TimesAs), $times * $value];
        }
        $it = $chart->past($of, Kind::It);

        return $at > $place && $times < 1.0 && $it > $of ? [$it, $times] : null;
    }

    /** @return array{int, string|null} what it is held against: "as castor", "than the castor" */
    private function other(int $place, Chart $chart): array
    {
        $as = $chart->past($place, Kind::AsMuch);

        return $as > $place ? $this->named($as, $chart) : [$place, null];
    }

    /** @return array{int, string|null} */
    private function named(int $place, Chart $chart): array
    {
        $at = $chart->past($place, Kind::Stop, Kind::Article);
        $name = $this->called($place, $chart)[0] ?? $this->called($at, $chart)[0] ?? null;

        return $name === null ? [$place, null] : [$name->to, $name->text];
    }

    /** @return list<Named> by the letter, or surely meant */
    private function called(int $place, Chart $chart): array
    {
        $exact = $this->names->exactly($place, $chart);

        $isKnown = $exact !== [] || ! $chart->isWord($place) || $chart->isSmall($place);

        return $isKnown ? $exact : array_values(array_filter(
            $this->names->nearly($place, $chart),
            static fn (Named $n): bool => $n->cost < Namings::DOUBTFUL,
        ));
    }
}
