<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar\Phrase;

use Crown\Reading\Grammar\Amount;
use Crown\Reading\Grammar\Chart;
use Crown\Reading\Grammar\Found;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Namings;
use Crown\Reading\Grammar\Numbers;
use Crown\Reading\Grammar\Phrase;

/** "20 nettle capsules (500 mg each)", "4 horsetail caps at 400 mg": the name stands inside its amount. */
final readonly class Capsules implements Phrase
{
    private const UNIT = 'capsules';

    public function __construct(private Namings $names)
    {
    }

    public function from(int $place, Chart $chart): iterable
    {
        $number = Numbers::at($place, $chart);
        if ($number === null) {
            return;
        }
        [$at, $count] = $number;
        $at = $chart->past($at, Kind::Grade);
        if ($chart->value($this->names->run($at, $chart), Kind::Unit) !== self::UNIT) {
            return;
        }
        foreach ($this->names->exactly($at, $chart) ?: $this->names->nearly($at, $chart) as $name) {
            if ($chart->value($name->to, Kind::Unit) !== self::UNIT) {
                continue;
            }
            $to = $chart->past($name->to, Kind::Unit);
            [$to, $milligrams] = $this->each($to, $chart);
            $each = $milligrams === null ? '' : ' of '.Amount::figure($milligrams).' mg';
            $text = Amount::figure($count).' '.self::UNIT.$each;
            yield new Found(
                $to,
                0.05 + $name->cost,
                [new Item(new Amount($text, $count, self::UNIT, $place, $number[0]), $name)],
            );
        }
    }

    /** @return array{int, float|null} "(500 mg each)", "at 400 mg", "of 500 mg" */
    private function each(int $place, Chart $chart): array
    {
        $opens = $chart->skip($place, '(', '@', ',', 'à');
        $at = $opens > $place || ! $chart->is($place, Kind::Stop) ? $opens : $chart->past($place, Kind::Stop);
        $number = $chart->token($at)?->number;
        if ($number === null || $chart->token($at + 1)?->word !== 'mg') {
            return [$place, null];
        }
        $to = $chart->past($at + 2, Kind::Each);

        return [$chart->skip($to, ')'), $number];
    }
}
