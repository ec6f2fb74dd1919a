<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a text names in the place of another: "… or argan oil", "…, almond or 80 g of mango butter". */
final readonly class Alternatives
{
    private const MOST = 6;

    public function __construct(private Namings $names)
    {
    }

    /**
     * Those that follow a name or an amount.
     *
     * @return array{int, list<Item>} the token after the last, and each; none where none follows
     */
    public function after(int $place, Chart $chart): array
    {
        $found = [];
        $to = $place;
        for ($count = 0; $count < self::MOST; $count++) {
            $other = $this->behindOr($to, $chart) ?? ($found === [] ? $this->behindComma($to, $chart) : null);
            if ($other === null) {
                break;
            }
            [$to, $items] = $other;
            array_push($found, ...$items);
        }

        return [$found === [] ? $place : $this->pastWhy($to, $place, $chart), $found];
    }

    /** @return array{int, list<Item>}|null */
    private function behindOr(int $place, Chart $chart): ?array
    {
        $at = $chart->skip($place, ',', '(');
        $or = $chart->past($at, Kind::Or);
        $item = $or > $at ? $this->item($or, $chart) : null;

        return $item === null ? null : [$item->name->to, [$item]];
    }

    /** @return array{int, list<Item>}|null "…, almond or jojoba": what stands between commas, with an "or" at last */
    private function behindComma(int $place, Chart $chart): ?array
    {
        $items = [];
        for ($to = $place; $chart->isSign($to, ','); $to = $item->name->to) {
            $item = $this->item($to + 1, $chart);
            if ($item === null || $item->amount !== null || $item->name->cost > 0.0) {
                return null;
            }
            $items[] = $item;
        }
        $last = $items === [] ? null : $this->behindOr($to, $chart);

        return $last === null ? null : [$last[0], [...$items, ...$last[1]]];
    }

    /** One with its own amount, or without. */
    private function item(int $place, Chart $chart): ?Item
    {
        $at = $chart->past($place, Kind::Hedge);
        foreach (Quantities::at($place, $chart) as $amount) {
            $from = $chart->past($amount->to, Kind::Of);
            $name = $amount->isBare() ? null : $this->names->exactly($from, $chart)[0] ?? null;
            if ($name !== null) {
                return new Item($amount, $name);
            }
        }
        $name = $this->names->exactly($at, $chart)[0] ?? $this->names->nearly($at, $chart)[0] ?? null;
        // Some word behind an "or" is no ingredient: it has to be like one.
        $isOne = $name !== null && $name->cost < Namings::UNKNOWN && Quantities::at($name->to, $chart) === [];

        return $isOne ? new Item(null, $name) : null;
    }

    /** The bracket that it stands in is closed. */
    private function pastWhy(int $to, int $place, Chart $chart): int
    {
        return $chart->isSign($chart->skip($place, ','), '(') ? $chart->skip($to, ')') : $to;
    }
}
