<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What may follow an item and belongs to it: another in its place, that it stays out, that it is not needed. */
final readonly class Tails
{
    /** How near what was weighed is to what was wanted. */
    private const WEIGHED = 0.15;

    /** An amount that is said again is rarer than the next that begins. */
    private const AGAIN = 0.3;

    private Alternatives $others;

    public function __construct(private Namings $names)
    {
        $this->others = new Alternatives($names);
    }

    /** @return iterable<Found> */
    public function of(Item $item, int $to, float $cost, Chart $chart): iterable
    {
        $out = $this->refused($to, $chart);
        if ($out !== null) {
            yield new Found($out, $cost, [$item->left()]);
        }
        [$end, $others] = $this->others->after($to, $chart);
        if ($others !== []) {
            $all = $item->or([...$item->choices, ...$others]);
            yield $this->again($all, $end, $chart)?->costing($cost) ?? new Found($end, $cost, [$all]);
        }
        $again = $this->again($item, $to, $chart);
        if ($again !== null) {
            yield new Found($again->to, $cost + $again->cost, $again->items);
        }
        $used = $this->used($item, $to, $chart);
        if ($used !== null) {
            yield new Found($used->to, $cost, $used->items);
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
        $at = $chart->skip($to, ',', '-', '–', '—', '(', '?');
        if ($chart->is($at, Kind::TookOut)) {
            return $chart->past($at, Kind::TookOut);
        }
        $not = $chart->past($at, Kind::Not);
        $token = $chart->token($at);
        // "Half a banana? no." and "honey NO"; "20 g shea, no coconut" refuses what follows.
        $isAnswer = $chart->isSign($at - 1, '?') && ! $chart->isWord($not);
        $isLoud = $isAnswer || $token !== null && mb_strlen($token->text) > 1
            && mb_strtoupper($token->text) === $token->text;

        return $not > $at && $isLoud ? $not : null;
    }

    /** @return array{int, list<Item>} "almond or jojoba oil: 2 tbsp": what stands between a name and its amount */
    public function between(Named $name, Chart $chart): array
    {
        return $this->others->after($name->to, $chart);
    }

    /** "A knob of shea (20 g or so)", "1 cup of shea (about 200 g)": the same in another measure behind the name. */
    private function again(Item $item, int $to, Chart $chart): ?Found
    {
        $amount = $item->amount;
        $next = Quantities::at($to, $chart)[0] ?? null;
        if ($amount !== null && $next !== null && ! $next->isBare() && $next->unit === $amount->unit
            && abs($next->count - $amount->count) <= self::WEIGHED * $amount->count
            && ! $chart->isWord($next->to)) {
            // What was wanted, and what was weighed.
            return new Found($next->to, self::AGAIN, [$item]);
        }
        $other = $chart->isSign($to, '(') ? Quantities::at($to + 1, $chart)[0] ?? null : null;
        if ($amount === null || $other === null || $other->isBare() || $other->unit === Amount::FRACTION) {
            return null;
        }
        $end = $chart->past($other->to, Kind::OrSo);
        $isMass = in_array($other->unit, ['g', 'kg', 'oz', 'lb'], true);
        if (! $chart->isSign($end, ')') || $chart->is($other->to, Kind::Each)) {
            return null;
        }
        $both = match (true) {
            $amount->isLoose() => $other->spanning($amount->from, $amount->to),
            $isMass => $amount->is("$amount->text (".Quantities::plainly($other->text).')'),
            default => $amount,
        };

        return new Found($end + 1, 0.0, [$item->with($both)]);
    }

    /** "100 ml jojoba (use 60)", "a cup of olive oil (I use half a cup)", "lavender EO, 10 ml bottle (15 drops)". */
    private function used(Item $item, int $to, Chart $chart): ?Found
    {
        $held = $chart->past($to, Kind::Vessel, Kind::Pack);
        if ($item->amount === null || ! $chart->isSign($held, '(', '[')) {
            return null;
        }
        $says = $chart->past($held + 1, Kind::Used);
        $all = $chart->past($says, Kind::Total);
        if ($says > $held + 1 && $all > $says && $chart->isSign($all, ')', ']')) {
            return new Found($all + 1, 0.0, [$item]);
        }
        $amount = $says > $held + 1 || $held > $to ? Quantities::at($says, $chart)[0] ?? null : null;
        $closes = $amount === null ? $held : $chart->past($amount->to, Kind::Of, Kind::It);
        if ($amount === null || ! $chart->isSign($closes, ')', ']') || ($amount->isBare() && $says === $held + 1)) {
            return null;
        }
        $isPart = $amount->unit === Amount::FRACTION;
        $amount = match (true) {
            $isPart => $item->amount->is('', $item->amount->count * $amount->count),
            $amount->isBare() => $amount->is("$amount->text {$item->amount->unit}", unit: $item->amount->unit),
            default => $amount,
        };
        $amount = $isPart ? Amount::of($amount->count, $amount->unit, $amount->from, $amount->to) : $amount;

        return new Found($closes + 1, 0.0, [$item->with($amount)]);
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

        if ($amount === null || $amount->unit === Amount::FRACTION
            || $this->names->exactly($amount->to, $chart) !== []) {
            return null;
        }
        $unit = $item->amount->unit ?? Amount::BARE;
        $amount = $amount->unit === Amount::BARE && $unit !== Amount::BARE
            ? Amount::of($amount->count, $unit, $amount->from, $amount->to)
            : $amount;

        return new Found($amount->to, 0.0, [$item->with($amount)]);
    }
}
