<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Things that a part names without an amount, and words of it that may be such: which of them go in. */
final readonly class Mentions
{
    /** Acts by which something goes in; what is poured over hair, or rinsed with, does not. */
    private const MAKING = ['melt', 'heat', 'steep', 'add', 'whip', 'chill', 'cool', 'measure'];

    /** Tokens of a thing that nobody knows and that stands alone in its row. */
    private const ALONE = 3;

    /** Tokens of a row that is one of a list. */
    private const LISTED = 9;

    public function __construct(private Grammar $grammar)
    {
    }

    /** @return list<Item> what a part may name, in its order */
    public function in(int $n, Part $part): array
    {
        $named = array_values(array_filter(
            $part->sentence->mentioned(),
            fn (Item $i): bool => ! $part->sentence->isCalled($i) && (! $part->isMethod || $this->isMade($part, $i)),
        ));

        return [...$named, ...$part->isMethod ? [] : $this->unknown($n, $part->sentence)];
    }

    /** Whether it goes in, be it that nothing else names it. */
    public function counts(Item $item, Part $part): bool
    {
        return $part->isMethod || $this->isListed($item, $part->sentence);
    }

    private function isMade(Part $part, Item $item): bool
    {
        $act = $part->stepAt($item->name->from)->plain->act ?? '';

        $chart = $part->sentence->chart;
        $isFilled = $chart->holds(Kind::Vessel) || $chart->holds(Kind::TopVerb) || $chart->holds(Kind::TopUp);

        return in_array($act, self::MAKING, true) || ($act === 'pour' && $isFilled);
    }

    /**
     * A short row, or a piece of a list, of words that nobody knows: each may be a thing.
     *
     * @return list<Item>
     */
    private function unknown(int $n, Sentence $sentence): array
    {
        $counted = $this->counted($n, $sentence);
        if ($counted !== null) {
            return [$counted];
        }
        $isList = count($sentence->cover->items()) > 1;
        $isRow = $n > 0 && $sentence->cover->taken === [] && $sentence->chart->length <= self::ALONE
            && ! $sentence->chart->isSign($sentence->chart->length - 1, ':', '!', '.', '?', ')');

        return $isList || $isRow ? $this->grammar->strangers($sentence) : [];
    }

    /** "2 vanilla pods (optional)": a row that counts something nobody knows. */
    private function counted(int $n, Sentence $sentence): ?Item
    {
        $chart = $sentence->chart;
        $first = $chart->skip(0, '-', '*');
        $to = $this->grammar->run($first + 1, $chart);
        $ends = $to >= $chart->length || $chart->isSign($to, '(', ',');
        $isRow = $n > 0 && $sentence->beginsRow() && in_array($first, $sentence->cover->left, true);
        if (! $isRow || ! $ends || $to === $first + 1) {
            return null;
        }
        $name = new Named($chart->text($first + 1, $to), Namings::UNKNOWN, $first + 1, $to);

        return new Item(Quantities::at($first, $chart)[0] ?? null, $name);
    }

    /** Whether a sentence lists a thing: a name in a remark ("smells like coconut") is none. */
    private function isListed(Item $item, Sentence $sentence): bool
    {
        $chart = $sentence->chart;
        $first = $item->name->from;
        while ($first > 0 && $chart->is($first - 1, Kind::Article, Kind::Mine, Kind::Grade, Kind::Form, Kind::Loose)) {
            $first--;
        }
        $begins = $first === 0 || ! $chart->isWord($first - 1);
        $stands = $begins || $chart->is($first - 1, Kind::Plus, Kind::Act, Kind::Or)
            || isset($sentence->taken()[$first - 1]);

        return $stands && ($this->isList($sentence) || ($begins && $this->isPiece($item, $sentence))
            || ($first <= 1 && $this->isRow($sentence)));
    }

    private function isList(Sentence $sentence): bool
    {
        return $sentence->measured() !== []
            || count($sentence->cover->items()) > count($sentence->cover->words)
            || $sentence->isBareList();
    }

    /** A piece of its own between the signs of a list. */
    private function isPiece(Item $item, Sentence $sentence): bool
    {
        $to = $item->name->to;
        $ends = ! $sentence->chart->isWord($to) || $sentence->chart->is($to, Kind::Plus);

        return $ends && $sentence->chart->token($to)?->number === null && count($sentence->cover->items()) > 1;
    }

    private function isRow(Sentence $sentence): bool
    {
        return $sentence->beginsRow() && $sentence->chart->length <= self::LISTED && ! $sentence->tells(Kind::Link);
    }
}
