<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Fate;

/** A sentence, or a row of a list, as its cheapest cover has it. */
final readonly class Sentence
{
    /** Tokens of a row that is one of a list. */
    private const LISTED = 6;

    /** Tokens within which what a sentence is called ends. */
    private const CALLED = 8;

    /**
     * @param  non-empty-list<array{int, int, int}>  $rows that it stands in: the character of it from which on, the
     *     number of the row, and the characters of that row before it
     */
    public function __construct(public string $text, public Chart $chart, public Cover $cover, private array $rows)
    {
    }

    /** Number of the row in which it begins. */
    public function row(): int
    {
        return $this->rows[0][1];
    }

    /** Whether nothing of its row stands before it. */
    public function beginsRow(): bool
    {
        return $this->rows[0][2] === 0;
    }

    /** @return array{int, int} the row in which one of its characters stands, and the characters before it there */
    public function placeOf(int $character): array
    {
        $at = $this->rows[0];
        foreach ($this->rows as $row) {
            $at = $row[0] <= $character ? $row : $at;
        }

        return [$at[1], $at[2] + $character - $at[0]];
    }

    /** Whether something that is known stands on both sides of a token. */
    public function spans(int $place): bool
    {
        foreach ($this->cover->taken as [$from, $found]) {
            foreach ($found->items as $item) {
                if ($from < $place && $found->to > $place && $item->name->cost < Namings::DOUBTFUL) {
                    return true;
                }
            }
        }

        return false;
    }

    /** It goes on in another row. */
    public function andThen(string $text, Chart $chart, Cover $cover, self $next): self
    {
        $from = mb_strlen($this->text) + 1;
        $rows = array_map(static fn (array $r): array => [$r[0] + $from, $r[1], $r[2]], $next->rows);

        return new self($text, $chart, $cover, [...$this->rows, ...$rows]);
    }

    /** @return list<Item> with an amount that go in */
    public function measured(): array
    {
        return array_values(array_filter(
            array_column($this->measuredPer(), 0),
            static fn (Item $i): bool => ! $i->isWeak(),
        ));
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

    /** @return list<Item> without an amount in figures that go in: "a little vitamin E" */
    public function unmeasured(): array
    {
        return array_values(array_filter(
            $this->cover->items(),
            static fn (Item $i): bool => ! $i->out && ($i->amount === null || $i->amount->isLoose()),
        ));
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

    /** Whether something is done, by what stands from a token on. */
    public function actsAfter(int $place): bool
    {
        for (; $place < $this->chart->length; $place++) {
            if ($this->chart->is($place, Kind::Act)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, Found> what took a token, by its number */
    public function taken(): array
    {
        $taken = [];
        foreach ($this->cover->taken as [$from, $found]) {
            for ($place = $from; $place < $found->to; $place++) {
                $taken[$place] = $found;
            }
        }

        return $taken;
    }

    /** Whether a word of a kind stands outside what was taken. */
    public function tells(Kind $kind): bool
    {
        $taken = $this->taken();
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
            // The stroke of "BTMS-25" leads to nothing, and behind a comma another thing begins.
            if ($this->chart->isSign($place, ',', ';')) {
                return false;
            }
            $isStroke = $this->chart->isSign($place, '-') && $this->chart->token($place + 1)?->glued === true;
            if ($this->chart->isSign($place, ':', '–', '—', '-') && ! $isStroke) {
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

    /** Whether words of a kind stand at its beginning, what marks a heading left aside. */
    public function heads(Kind ...$kinds): bool
    {
        return $this->chart->is($this->chart->skip(0, '-', '*', '#', '•', '[', '(', '=', '_'), ...$kinds);
    }

    /** The token after the words of a kind at its beginning; 0 where none stand there. */
    public function headed(Kind ...$kinds): int
    {
        $from = $this->chart->skip(0, '-', '*', '#', '•', '[', '(', '=', '_');
        $to = $this->chart->past($from, ...$kinds);

        return $to > $from ? $to : 0;
    }

    /** "Bought the 120 ml castor oil", and not "50 g of the shea that I bought". */
    public function isBought(): bool
    {
        // "Tue: bought …", "I bought …".
        return $this->chart->is(0, Kind::Bought) || $this->chart->is(1, Kind::Bought)
            || ($this->chart->isSign(1, ':') && $this->chart->is(2, Kind::Bought));
    }

    /** "Curl cream (200 g)": what is made, and how much of it. */
    public function isSized(Item $item): bool
    {
        $isMade = $this->chart->past($item->name->from, Kind::Product) >= $item->name->to;

        return ($item->name->cost >= Namings::UNKNOWN || $isMade)
            && $item->amount !== null
            && (in_array($item->amount->unit, Amount::SIZES, true) || $this->cover->asides(Aside::UNIT) !== []);
    }

    /**
     * Figures that nothing takes, and that say something: not of a sentence that names nothing and measures nothing.
     *
     * @return list<int> their tokens
     */
    public function figuresLeft(bool $isFirst): array
    {
        foreach ($this->cover->left as $place) {
            $isMeasure = $this->chart->is($place + 1, Kind::Unit) || $this->chart->isSign($place + 1, '%');
            // "2 vanilla pods": a row of a list, be its name unknown.
            $isEnd = $place === $this->chart->length - 1 && ! $isFirst;
            $isListed = $this->chart->length <= self::LISTED
                && ($isEnd ? $this->chart->isWord($place - 1) : $place <= 1 && $this->chart->isWord($place + 1));
            if ($this->measured() !== [] || $isMeasure || $isListed) {
                return $this->cover->left;
            }
        }

        return [];
    }

    /** Whether the text leaves open if a thing goes in: "30 ml argan, if you have it". */
    public function isOptional(Item $item): bool
    {
        $taken = $this->taken();
        for ($place = 0; $place < $this->chart->length; $place++) {
            if (isset($taken[$place]) || ! $this->chart->is($place, Kind::Optional)) {
                continue;
            }
            // Behind a thing it is said of that thing; before all of them of each; behind "and" of the next.
            $isNext = $this->chart->is($place - 1, Kind::Plus) || $this->chart->isSign($place - 1, ';', '.');
            $said = array_filter(array_keys($taken), fn (int $p): bool => $taken[$p]->items !== []
                && ($isNext ? $p > $place : $p < $place));
            $one = $said === [] ? null : $taken[$isNext ? min($said) : max($said)];
            if ($one === null || in_array($item, $one->items, true)) {
                return true;
            }
        }

        return false;
    }

    /** What it is called, where it is a title: without the size of it. */
    public function title(): string
    {
        foreach ($this->cover->taken as [$from, $found]) {
            if ($found->aside?->fate === Fate::Size && $from > 0) {
                $before = mb_substr($this->text, 0, $this->chart->tokens[$from]->start);

                return preg_replace(['/\s*[(\[][^)\]]*$/u', '/[\s,:–—-]+$/u'], '', $before) ?? $before;
            }
        }

        return trim($this->text);
    }

    /** The token from which on things are mended: behind "EDIT", "no wait", "no,"; null where nothing is. */
    public function mendsFrom(): ?int
    {
        $taken = $this->taken();
        for ($place = 0; $place < $this->chart->length; $place++) {
            $not = $this->chart->past($place, Kind::Not);
            $isNo = $not > $place && $this->chart->isSign($not, ',', ':');
            if (! isset($taken[$place]) && ($isNo || $this->chart->is($place, Kind::Edit, Kind::Correct))) {
                return $place;
            }
        }

        return null;
    }

    /** Whether it names things and says nothing else. */
    public function isBareList(): bool
    {
        return $this->cover->words === [] && ! $this->tells(Kind::Act) && ! $this->tells(Kind::Not);
    }
}
