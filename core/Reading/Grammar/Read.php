<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** A row as its cheapest cover has it. */
final readonly class Read
{
    /** Tokens within which what a sentence is called ends. */
    private const CALLED = 8;

    public function __construct(public string $text, public Chart $chart, public Cover $cover)
    {
    }

    /** @return list<Item> with an amount that go in */
    public function measured(): array
    {
        return array_column($this->measuredPer(), 0);
    }

    /** @return list<array{Item, Amount|null}> with an amount that go in, each with what its amount is said of */
    public function measuredPer(): array
    {
        $found = [];
        $waits = null;
        $end = -1;
        foreach ($this->cover->taken as [$from, $taken]) {
            $per = $taken->aside?->says === Aside::PER ? $taken->aside->amount : null;
            if ($per !== null) {
                // Right behind what it is said of, or before it.
                $isBehind = $found !== [] && $this->chart->skip($end, '(', ',', '-', '–') === $from;
                $found = $isBehind ? self::saidOf($found, $per) : $found;
                $waits = $isBehind ? null : $per;
            }
            $end = $taken->to;
            foreach ($taken->items as $item) {
                if ($item->amount !== null && ! $item->out) {
                    $found[] = [$item, $waits];
                }
            }
        }

        return $found;
    }

    /**
     * "… 5 drops of rosemary and 3 of mint per 30 ml": of the last, and of the drops right before it.
     *
     * @param  list<array{Item, Amount|null}>  $found
     * @return list<array{Item, Amount|null}>
     */
    private static function saidOf(array $found, Amount $per): array
    {
        foreach (array_reverse(array_keys($found)) as $n) {
            $isLast = $n === count($found) - 1;
            if (! $isLast && $found[$n][0]->amount?->unit !== 'drops') {
                break;
            }
            $found[$n] = [$found[$n][0], $per];
        }

        return $found;
    }

    /** @return list<Item> without an amount that go in */
    public function mentioned(): array
    {
        return array_values(
            array_filter($this->cover->items(), static fn (Item $i): bool => $i->amount === null && ! $i->out),
        );
    }

    /** Whether it is made of words alone, and not of small ones. */
    public function isOfWords(): bool
    {
        $tells = false;
        for ($place = 0; $place < $this->chart->length; $place++) {
            if (! $this->chart->isWord($place)) {
                return false;
            }
            $tells = $tells || ! $this->chart->is($place, Kind::Stop);
        }

        return $tells;
    }

    /** Whether an item is one of several: "100 g shea or 80 g mango". */
    public function offers(): bool
    {
        $begins = $ends = [];
        foreach ($this->cover->taken as [$from, $found]) {
            if ($found->items !== []) {
                $begins[$from] = $ends[$this->chart->skip($found->to, ',', '(')] = true;
            }
        }
        foreach (array_keys($ends) as $place) {
            $or = $this->chart->past($place, Kind::Or);
            if ($or > $place && ! isset($begins[$place]) && (isset($begins[$or]) || $this->chart->isWord($or))) {
                return true;
            }
        }

        return false;
    }

    /** Whether a word of a kind stands outside what was taken. */
    public function tells(Kind $kind): bool
    {
        $taken = [];
        foreach ($this->cover->taken as [$from, $found]) {
            for ($place = $from; $place < $found->to; $place++) {
                $taken[$place] = true;
            }
        }
        for ($place = 0; $place < $this->chart->length; $place++) {
            if (! isset($taken[$place]) && $this->chart->is($place, $kind)) {
                return true;
            }
        }

        return false;
    }

    /** "Calendula oil: fill a jar …": what the sentence is called, and nothing in it. */
    public function isCalled(Item $item): bool
    {
        for ($place = $item->name->to; $place < min($this->chart->length, self::CALLED); $place++) {
            if ($this->chart->isSign($place, ':', '–', '—', '-')) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is nothing but the heading of what is told by a kind of words. */
    public function isHeading(Kind ...$kinds): bool
    {
        $from = $this->chart->skip(0, '-', '*', '#', '•', '[', '(', '=', '_');
        $to = $this->chart->past($from, ...$kinds);

        return $to > $from && $this->chart->skip($to, ':', '-', '*', '.', ']', ')', '=', '_') === $this->chart->length;
    }

    /** Whether it names things and says nothing else. */
    public function isBareList(): bool
    {
        return $this->cover->words === [] && ! $this->tells(Kind::Act) && ! $this->tells(Kind::Not);
    }
}
