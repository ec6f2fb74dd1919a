<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What may follow an item and belongs to it: another in its place, that it stays out, that it is not needed. */
final readonly class Tails
{
    public function __construct(private Namings $names)
    {
    }

    /** @return iterable<Found> */
    public function of(Item $item, int $to, float $cost, Chart $chart): iterable
    {
        $out = $this->refused($to, $chart);
        if ($out !== null) {
            yield new Found($out, $cost, [$item->left()]);
        }
        $choice = $this->other($to, $chart);
        if ($choice !== null) {
            yield new Found($choice->to, $cost, [new Item($item->amount, $item->name, [$choice])]);
        }
        $corrected = $this->corrected($item, $to, $chart);
        if ($corrected !== null) {
            yield new Found($corrected->to, $cost, $corrected->items);
        }
        yield new Found($to, $cost, [$item]);
    }

    /** "… NO (I took it out)", "… (left it out)". */
    private function refused(int $to, Chart $chart): ?int
    {
        $at = $chart->skip($to, ',', '-', '–', '—', '(');
        if ($chart->is($at, Kind::TookOut)) {
            return $chart->past($at, Kind::TookOut);
        }
        $not = $chart->past($at, Kind::Not);
        $token = $chart->token($at);
        $isLoud = $token !== null && mb_strlen($token->text) > 1 && mb_strtoupper($token->text) === $token->text;

        return $not > $at && $isLoud ? $not : null;
    }

    /** "… or argan oil". */
    private function other(int $to, Chart $chart): ?Named
    {
        $at = $chart->skip($to, ',', '(');
        $or = $chart->past($at, Kind::Or);

        return $or > $at ? $this->names->exactly($or, $chart)[0] ?? null : null;
    }

    /** "60 g of shea, no, 50 g". */
    private function corrected(Item $item, int $to, Chart $chart): ?Found
    {
        $at = $chart->skip($to, ',', '.', '…', '-', '–', '—', '(');
        $says = $chart->past($at, Kind::Correct);
        $says = $says === $at && $at > $to && $chart->token($at)?->word === 'no' ? $at + 1 : $says;
        if ($says === $at) {
            return null;
        }
        $amount = Quantities::at($chart->skip($says, ',', ':', '.'), $chart)[0] ?? null;

        if ($amount === null || $amount->unit === Amount::FRACTION || $this->names->exactly($amount->to, $chart) !== []) {
            return null;
        }
        $unit = $item->amount->unit ?? Amount::BARE;
        $amount = $amount->unit === Amount::BARE && $unit !== Amount::BARE
            ? Amount::of($amount->count, $unit, $amount->from, $amount->to)
            : $amount;

        return new Found($amount->to, 0.0, [$item->with($amount)]);
    }
}
