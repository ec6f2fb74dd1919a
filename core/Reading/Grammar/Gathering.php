<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * What goes in by all parts of a text: what stands in several of them once, what is mended further down, what the method
 * names in passing.
 */
final class Gathering
{
    /** Acts by which something goes in; what is poured over hair, or rinsed with, does not. */
    private const MAKING = ['melt', 'heat', 'steep', 'add', 'whip', 'chill', 'cool', 'measure'];

    /** Words of a thing that nobody knows and that stands alone in its row. */
    private const ALONE = 3;

    /** Things with a bare figure from which they are a list of such. */
    private const BARE = 2;

    /** Tokens of a row that is one of a list. */
    private const LISTED = 9;

    /** @var list<Entry> */
    private array $entries = [];

    /** @var list<array{Entry, int}> what is said again with the amount that it has, and the number of it among the entries */
    private array $repeated = [];

    /** @var array<int, Entry> what is said again in another measure, by the number of the entry that it is */
    private array $measured = [];

    /** @var array<int, Entry> what says how much one of the entries in parts is, by the number of that */
    private array $anchors = [];

    /** @var list<array{int, Item}> words behind a bare figure, each with its part */
    private array $weak = [];

    /** @var array<int, list<Amount>> amounts that another part gives, by the part that names the things */
    private array $paired = [];

    /** @var list<array{int, Item}> things without an amount, each with its part */
    private array $mentioned = [];

    /** @var array<string, string> ids by name */
    private array $meant = [];

    /** @var list<array{int, Item, Item}> what a part names again: the part, its item there, and the item of the entry */
    private array $again = [];

    /**
     * @param  list<Part>  $parts
     */
    public function __construct(private readonly array $parts, private readonly Grammar $grammar)
    {
    }

    /** @return list<Entry> in the order of the text */
    public function entries(Whole $whole): array
    {
        $this->paired = $this->pairs();
        foreach ($this->parts as $n => $part) {
            $whole->hear($part->sentence);
            if ($part->role === Role::Title) {
                $this->titled($part->sentence, $whole);
            }
            if ($part->counts()) {
                $this->take($n, $part, $whole);
            }
        }
        $this->anchor();
        $this->weighed();
        $this->repeat();
        $this->weigh();
        array_map(fn (array $m): null => $this->mention(...$m), $this->mentioned);
        usort($this->entries, static fn (Entry $a, Entry $b): int => $a->place() <=> $b->place());

        return $whole->settled($this->entries, $this->meant(...), $this->grammar->isCounted(...), $this->grammar->isPlant(...));
    }

    /** @return list<array{int, Item, Item}> what a part names again: the part, its item there, and the item of the entry */
    public function again(): array
    {
        return $this->again;
    }

    /** @return list<array{int, Item}> words with a figure that are no thing, each with its part */
    public function weak(): array
    {
        return $this->weak;
    }

    /**
     * Figures belong to the names of the part beside them, where there are as many.
     *
     * @return array<int, list<Amount>>
     */
    private function pairs(): array
    {
        $pairs = [];
        foreach ($this->parts as $n => $part) {
            foreach ($part->sentence->cover->asides(Aside::FIGURES) as $aside) {
                foreach ([$n, $n + 1, $n - 1, $n - 2] as $beside) {
                    $other = $this->parts[$beside] ?? null;
                    if ($other !== null && count($other->sentence->unmeasured()) === count($aside->amounts)) {
                        $pairs[$beside] = $aside->amounts;

                        break;
                    }
                }
            }
        }

        return $pairs;
    }

    /** Where one part has a mass or a volume, so have the others. */
    private function anchor(): void
    {
        foreach ($this->anchors as $k => $said) {
            $one = $this->entries[$k]->amount;
            $unit = $said->amount->unit ?? '';
            $times = ($said->amount->count ?? 0.0) / ($one->count ?? 1.0);
            $this->again[] = [$said->part, $said->item, $this->entries[$k]->item];
            foreach ($this->entries as $n => $entry) {
                $amount = $entry->amount;
                if ($amount?->unit === 'parts') {
                    $much = round($amount->count * $times, 3);
                    $this->entries[$n] = $entry->with(Amount::of($much, $unit, $amount->from, $amount->to));
                }
            }
        }
    }

    /** A name that nobody knows is one in a list of bare figures; elsewhere it is no thing. */
    private function weigh(): void
    {
        $bare = array_filter($this->entries, static fn (Entry $e): bool => $e->amount?->isBare() === true);
        if (count($bare) < self::BARE) {
            return;
        }
        foreach ($this->weak as [$n, $item]) {
            $this->entries[] = new Entry($n, $item, $item->amount);
        }
        $this->weak = [];
    }

    private function titled(Sentence $title, Whole $whole): void
    {
        $size = $title->measuredPer()[0][0]->amount ?? null;
        if ($size !== null) {
            $whole->is($size, $title);
        }
    }

    private function take(int $n, Part $part, Whole $whole): void
    {
        $sentence = $part->sentence;
        $mendsFrom = $sentence->mendsFrom();
        $paired = $this->paired[$n] ?? [];
        foreach ($paired === [] ? $sentence->measuredPer() : [] as [$item, $per]) {
            $item = $item->name->text === '' ? $this->named($n, $item) : $item;
            $size = $item->amount;
            if ($size !== null && $item->name->cost >= Namings::UNKNOWN
                && $sentence->chart->isSign($item->name->to, ':')) {
                // "1 ml essential oils: 10 drops …": the sum of what follows.
                $whole->is($size, $sentence);
            } elseif ($item->amount?->isBare() === true && ! $this->isSomething($item)) {
                $this->weak[] = [$n, $item];
            } elseif ($this->isSomething($item)) {
                $item = $this->ofTitle($item, $sentence);
                $entry = new Entry($n, $item, $item->amount, $per, optional: $sentence->isOptional($item));
                $this->join($entry, $part, $mendsFrom !== null && $mendsFrom < $item->name->to);
            }
        }
        foreach ($paired === [] ? $sentence->mentioned() : $sentence->unmeasured() as $k => $item) {
            if (isset($paired[$k])) {
                $this->join(new Entry($n, $item->with($paired[$k]), $paired[$k]), $part, false);

                continue;
            }
            $isCalled = $sentence->isCalled($item)
                || ($part->isMethod && ! $this->isMaking($part, $item));
            if (! $isCalled) {
                $this->mentioned[] = [$n, $item];
            }
        }
        foreach ($part->isMethod ? [] : $this->unknown($n, $sentence) as $item) {
            $this->mentioned[] = [$n, $item];
        }
    }

    /** What has an amount with a unit is something, be it unknown; a word behind a figure may be anything. */
    private function isSomething(Item $item): bool
    {
        return $item->name->text !== '' && ($item->name->cost < Namings::DOUBTFUL
            || ($item->name->cost <= Namings::MADE && $item->amount?->isBare() === false));
    }

    /** "60 ml of it": what was named last before it; the item itself where nothing was. */
    private function named(int $n, Item $item): Item
    {
        $last = '';
        foreach (array_slice($this->parts, max(0, $n - 2), min(3, $n + 1)) as $k => $part) {
            foreach ($part->sentence->cover->items() as $other) {
                $isBefore = $part !== $this->parts[$n] || $other->name->from < $item->name->from;
                $last = $isBefore && $other->name->text !== '' && ! $other->out ? $other->name->text : $last;
            }
        }

        return match (true) {
            $last !== '' => $item->called($last),
            $this->isSteeped($n) => $item->called('the infused oil'),
            default => $item,
        };
    }

    /** Whether something was steeped or strained before a part. */
    private function isSteeped(int $n): bool
    {
        foreach (array_slice($this->parts, 0, $n + 1) as $part) {
            if ($part->sentence->chart->does('steep', 'strain')) {
                return true;
            }
        }

        return false;
    }

    /** "Dried buds 35 g" under "Lavender in almond": parts of the plant that the title names. */
    private function ofTitle(Item $item, Sentence $sentence): Item
    {
        for ($place = $item->name->from; $place < $item->name->to; $place++) {
            if (! $sentence->chart->is($place, Kind::PlantPart, Kind::Form, Kind::Grade)) {
                return $item;
            }
        }
        foreach ($this->parts as $part) {
            $plant = $part->role === Role::Title ? $part->sentence->mentioned()[0] ?? null : null;
            if ($plant !== null) {
                return $item->called($plant->name->text.' '.$item->name->text);
            }
        }

        return $item;
    }

    private function isMaking(Part $part, Item $item): bool
    {
        $act = $part->stepAt($item->name->from)->plain->act ?? '';

        $chart = $part->sentence->chart;
        $isFilled = $chart->holds(Kind::Vessel) || $chart->holds(Kind::TopVerb) || $chart->holds(Kind::TopUp);

        return in_array($act, self::MAKING, true) || ($act === 'pour' && $isFilled);
    }

    /**
     * A short row, or a piece of a list, of words that nobody knows: it may be a thing.
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

    private function join(Entry $entry, Part $part, bool $mends): void
    {
        foreach ($this->entries as $k => $known) {
            if (! $this->isSame($known->name(), $entry->name())) {
                continue;
            }
            if ($mends) {
                $this->mend($k, $entry);

                return;
            }
            $same = $known->amount?->unit === $entry->amount?->unit
                && abs(($known->amount->count ?? 0.0) - ($entry->amount->count ?? 0.0)) < 1e-9;
            // The method names a part of what the list has.
            $isPassing = $part->isMethod && ! $this->parts[$known->part]->isMethod;
            if ($isPassing) {
                $this->again[] = [$entry->part, $entry->item, $known->item];

                return;
            }
            $isParts = $known->amount?->unit === 'parts' && $entry->amount !== null
                && in_array($entry->amount->unit, [...Amount::SIZES, 'tbsp', 'tsp', 'cups'], true);
            if ($isParts) {
                // "4:1 olive and beeswax. 100 g of olive": by that the others are known.
                $this->anchors[$k] = $entry;

                return;
            }
            if ($same) {
                $this->repeated[] = [$entry, $k];

                return;
            }
            if (Weighed::isSame($known->amount, $entry->amount)) {
                $this->measured[$k] = $entry;

                return;
            }
        }
        $this->entries[] = $entry;
    }

    /** The same list in spoons and by weight counts once, and what was weighed holds; one thing alone may go in twice. */
    private function weighed(): void
    {
        $isList = count($this->measured) > 1 && 2 * count($this->measured) >= count($this->entries);
        foreach ($this->measured as $k => $entry) {
            if (! $isList) {
                $this->entries[] = $entry;

                continue;
            }
            $known = $this->entries[$k];
            [$one, $other] = Weighed::isMass($entry->amount) ? [$entry, $known] : [$known, $entry];
            $this->entries[$k] = $one;
            $this->again[] = [$other->part, $other->item, $one->item];
        }
    }

    /** "EDIT: 2 teaspoons neem": what was said further up no longer holds. */
    private function mend(int $k, Entry $entry): void
    {
        $known = $this->entries[$k];
        $amount = $entry->amount;
        $amount = $amount?->isBare() === true
            ? Amount::of($amount->count, $known->amount->unit ?? Amount::BARE, $amount->from, $amount->to)
            : $amount;
        $this->entries[$k] = new Entry($entry->part, $entry->item, $amount, $known->per, optional: $known->optional);
    }

    /** Said again is a list as a whole; one thing alone may go in twice. */
    private function repeat(): void
    {
        $isList = count($this->repeated) >= count($this->entries);
        foreach ($this->repeated as [$entry, $k]) {
            if ($isList || $this->parts[$entry->part]->isMethod) {
                $this->again[] = [$entry->part, $entry->item, $this->entries[$k]->item];
            } else {
                $this->entries[] = $entry;
            }
        }
    }

    /** A thing without an amount: the same as one that has one, or one of its own that is asked about. */
    private function mention(int $n, Item $item): null
    {
        foreach ($this->entries as $entry) {
            $begins = str_contains(mb_strtolower($entry->name()), mb_strtolower($item->name->text));
            if ($begins || $this->isSame($entry->name(), $item->name->text)) {
                $this->again[] = [$n, $item, $entry->item];

                return null;
            }
        }
        $part = $this->parts[$n];
        if ($part->isMethod || $this->isListed($item, $part->sentence)) {
            $optional = $part->sentence->isOptional($item);
            $this->entries[] = new Entry($n, $item, $item->amount, null, $part->isMethod, $optional);
        }

        return null;
    }

    /** Whether a sentence lists a thing: a name in a remark ("smells like coconut") is none. */
    private function isListed(Item $item, Sentence $sentence): bool
    {
        $chart = $sentence->chart;
        $first = $item->name->from;
        while ($first > 0 && $chart->is($first - 1, Kind::Article, Kind::Mine, Kind::Grade, Kind::Form, Kind::Loose)) {
            $first--;
        }
        $stands = $first === 0 || ! $chart->isWord($first - 1) || $chart->is($first - 1, Kind::Plus, Kind::Act, Kind::Or)
            || isset($sentence->taken()[$first - 1]);
        $lists = $sentence->measured() !== [] || count($sentence->cover->items()) > count($sentence->cover->words)
            || $sentence->isBareList();

        // A piece of its own between the signs of a list.
        $to = $item->name->to;
        $isPiece = ($first === 0 || ! $chart->isWord($first - 1)) && (! $chart->isWord($to) || $chart->is($to, Kind::Plus))
            && $chart->token($to)?->number === null && count($sentence->cover->items()) > 1;

        return $stands && ($lists || $isPiece || ($sentence->beginsRow() && $first <= 1
            && $chart->length <= self::LISTED && ! $sentence->tells(Kind::Link)));
    }

    private function isSame(string $one, string $other): bool
    {
        return mb_strtolower($one) === mb_strtolower($other)
            || ($this->meant($one) !== '' && $this->meant($one) === $this->meant($other));
    }

    private function meant(string $name): string
    {
        return $this->meant[$name] ??= $this->grammar->meant($name);
    }
}
