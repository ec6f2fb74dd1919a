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
use Crown\Reading\Grammar\Phrase;

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
        $ratio = $this->figures($place, $chart);
        if ($ratio !== null) {
            [$to, $figures] = $ratio;
            $at = $chart->skip($to, ',', ':', '-', '–', '—', ')', '(');
            $at = in_array($chart->token($at)?->word, ['ratio', 'mix', 'blend', 'mixture'], true) ? $at + 1 : $at;
            $at = $chart->skip($chart->past($at, Kind::Of), ':', '(');
            foreach ($this->lists->at($at, $chart) as $names) {
                if (count($names) === count($figures)) {
                    $end = $names[count($names) - 1]->to;
                    yield new Found($end, self::COST + NameLists::cost($names), $this->items($names, $figures, $place, $to));
                }
            }
        }
        foreach ($this->isAnywhere($chart) ? $this->lists->at($place, $chart) : [] as $names) {
            $at = $names[count($names) - 1]->to;
            for ($skipped = 0; $skipped < 6 && $this->leads($at, $chart); $skipped++) {
                $at++;
            }
            $ratio = $this->figures($at, $chart);
            if ($ratio !== null && count($ratio[1]) === count($names)) {
                yield new Found(
                    $chart->skip($ratio[0], ')'),
                    self::COST + NameLists::cost($names),
                    $this->items($names, $ratio[1], $at, $ratio[0]),
                );
            }
        }
    }

    /** @see figures() */
    private function isAnywhere(Chart $chart): bool
    {
        return $chart->once(self::class, 0, function () use ($chart): array {
            for ($place = 0; $place < $chart->length; $place++) {
                if ($this->figures($place, $chart) !== null) {
                    return [true];
                }
            }

            return [false];
        })[0];
    }

    /** What may stand between the names and their ratio: "at a ratio of", "(", ",". */
    private function leads(int $place, Chart $chart): bool
    {
        return $chart->isSign($place, ',', ':', '(', '-', '–', '—', '=')
            || in_array(
                $chart->token($place)?->word,
                ['in', 'a', 'an', 'the', 'ratio', 'of', 'at', 'im', 'verhaltnis', 'proportion', 'proporcion'],
                true,
            );
    }

    /** @return array{int, non-empty-list<float>}|null the token after it and its figures, two or more */
    private function figures(int $place, Chart $chart): ?array
    {
        $first = $chart->token($place)?->number;
        if ($first === null) {
            return null;
        }
        $figures = [$first];
        $at = $place + 1;
        while (count($figures) < self::MOST) {
            $next = $chart->token($at + 1)?->number;
            $joins = $chart->isSign($at, ':', '/', '-') || ($chart->token($at)?->word === 'to' && count($figures) === 1);
            if (! $joins || $next === null) {
                break;
            }
            $figures[] = $next;
            $at += 2;
        }
        // Two figures with a stroke between are a part, or a range.
        $isRatio = count($figures) > 2 || (count($figures) === 2 && $chart->isSign($place + 1, ':'))
            || (count($figures) === 2 && $chart->token($place + 1)?->word === 'to' && $figures[0] > $figures[1]);

        return $isRatio && ! $chart->is($at, Kind::Unit) && ! $chart->isSign($at, '%') ? [$at, $figures] : null;
    }

    /**
     * @param  non-empty-list<Named>  $names
     * @param  non-empty-list<float>  $figures
     * @return list<Item>
     */
    private function items(array $names, array $figures, int $from, int $to): array
    {
        return array_map(
            static fn (Named $n, float $f): Item => new Item(Amount::of($f, 'parts', $from, $to), $n),
            $names,
            $figures,
        );
    }
}
