<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * What goes in by all parts of a text: what stands in several of them once, what is mended further down, what the
 * method names in passing.
 */
final class Gathering
{
    /** Things with a bare figure from which they are a list of such. */
    private const BARE = 2;

    private const ONE_OF = 'Several rows of figures stand under it. The last was taken.';

    private const ABSOLUTE = [...Amount::SIZES, 'tbsp', 'tsp', 'cups'];

    /** @var array<int, Entry> */
    private array $entries = [];

    /** @var list<array{Entry, int}> what is said again with the amount that it has, and its number among the entries */
    private array $repeated = [];

    /** @var array<int, Entry> what is said again in another measure, by the number of the entry that it is */
    private array $measured = [];

    /** @var array<int, Entry> what says how much one of the entries in parts is, by the number of that */
    private array $anchors = [];

    /** @var list<array{int, Item}> words behind a bare figure, each with its part */
    private array $weak = [];

    /** @var array<int, array{list<Amount>, bool}> amounts that another part gives, by the part that names the things */
    private array $paired = [];

    /** @var list<array{int, Item}> things without an amount, each with its part */
    private array $mentioned = [];

    /** @var array<string, string> ids by name */
    private array $meant = [];

    /** @var list<array{int, Item, Item}> what is named again: the part, its item there, and the item of the entry */
    private array $again = [];

    private readonly References $references;

    private readonly Mentions $mentions;

    /** @param  list<Part>  $parts */
    public function __construct(private readonly array $parts, private readonly Grammar $grammar)
    {
        $this->references = new References($parts);
        $this->mentions = new Mentions($grammar);
    }

    /** @return list<Entry> in the order of the text */
    public function entries(Whole $whole): array
    {
        $this->paired = Pairs::in($this->parts);
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
        $this->entries = (new SteepedOils($this->parts, $this->grammar))->in(array_values($this->entries));
        usort($this->entries, static fn (Entry $a, Entry $b): int => $a->place() <=> $b->place());

        return $whole->settled($this->entries, $this->grammar);
    }

    /** @return list<array{int, Item, Item}> what is named again: the part, its item there, and the item of the entry */
    public function again(): array
    {
        return $this->again;
    }

    /** @return list<array{int, Item}> words with a figure that are no thing, each with its part */
    public function weak(): array
    {
        return $this->weak;
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
        [$paired, $isOneOf] = $this->paired[$n] ?? [[], false];
        foreach ($paired === [] ? [] : $part->sentence->unmeasured() as $k => $item) {
            $entry = new Entry($n, $item->with($paired[$k]), $paired[$k], asks: $isOneOf ? self::ONE_OF : '');
            $this->join($entry, $part, false);
        }
        if ($paired !== []) {
            return;
        }
        $mendsFrom = $part->sentence->mendsFrom();
        foreach ($part->sentence->measuredPer() as [$item, $per]) {
            $item = $this->references->meant($n, $item);
            if ($this->isSum($item, $part->sentence)) {
                $whole->is($item->amount ?? Amount::of(0.0, '', 0, 0), $part->sentence);
            } elseif ($this->isSomething($item)) {
                $optional = $part->sentence->isOptional($item);
                $mends = $mendsFrom !== null && $mendsFrom < $item->name->to;
                $this->join(new Entry($n, $item, $item->amount, $per, optional: $optional), $part, $mends);
            } elseif ($item->isWeak()) {
                $this->weak[] = [$n, $item];
            }
        }
        foreach ($this->mentions->in($n, $part) as $item) {
            $this->mentioned[] = [$n, $item];
        }
    }

    /** "1 ml essential oils: 10 drops …": the sum of what follows. */
    private function isSum(Item $item, Sentence $sentence): bool
    {
        return $item->name->cost >= Namings::UNKNOWN && $sentence->chart->isSign($item->name->to, ':');
    }

    /** What has an amount with a unit is something, be it unknown; a word behind a figure may be anything. */
    private function isSomething(Item $item): bool
    {
        return $item->name->text !== '' && ($item->name->cost < Namings::DOUBTFUL
            || ($item->name->cost <= Namings::MADE && $item->amount?->isBare() === false));
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
            if ($this->isAgain($k, $known, $entry, $part)) {
                return;
            }
        }
        $this->entries[] = $entry;
    }

    /** Whether a thing is said again that is known: kept in mind as what it is said for. */
    private function isAgain(int $k, Entry $known, Entry $entry, Part $part): bool
    {
        [$one, $other] = [$known->amount, $entry->amount];
        $isSame = $one?->unit === $other?->unit && abs(($one->count ?? 0.0) - ($other->count ?? 0.0)) < 1e-9;
        if ($part->isMethod && ! $this->parts[$known->part]->isMethod) {
            // The method names a part of what the list has.
            $this->again[] = [$entry->part, $entry->item, $known->item];
        } elseif ($one?->unit === 'parts' && in_array($other?->unit, self::ABSOLUTE, true)) {
            // "4:1 olive and beeswax. 100 g of olive": by that the others are known.
            $this->anchors[$k] = $entry;
        } elseif ($isSame) {
            $this->repeated[] = [$entry, $k];
        } elseif (Weighed::isSame($one, $other)) {
            $this->measured[$k] = $entry;
        } else {
            return false;
        }

        return true;
    }

    /** The same list in spoons and by weight counts once, and what was weighed holds; one alone may go in twice. */
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
        if ($this->mentions->counts($item, $part)) {
            $optional = $part->sentence->isOptional($item);
            $this->entries[] = new Entry($n, $item, $item->amount, null, $part->isMethod, $optional);
        }

        return null;
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
