<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * What goes into a recipe by the whole of its text: rows read by the grammar, then what one says of another settled:
 * the unit of bare figures, what fills up the rest, what is mended further down, what is said twice.
 */
final class Text
{
    /** How much dearer two rows may be than one that was torn apart. */
    private const TORN = 1.0;

    /** Figures that come to one: parts of the whole. */
    private const PART = 'of one';

    /** Words of a thing that stands alone in a row. */
    private const ALONE = 3;

    /** Tokens of a row that is one of a list. */
    private const LISTED = 6;

    private const HUNDRED = [98.0, 102.0];

    private const MILLILITRES = ['ml' => 1.0, 'l' => 1000.0, 'fl oz' => 29.5735, 'oz' => 29.5735, 'cl' => 10.0];

    /** @var array<int, non-empty-list<Read>> sentences by row of the source */
    private array $rows = [];

    /** @var array<string, string> ids by name */
    private array $meant = [];

    /** @var list<string> names that stand without an amount */
    private array $mentioned = [];

    /** @var list<string> what of it is not understood, and why */
    private array $open = [];

    private bool $isShopping = false;

    private bool $isMisread = false;

    /** How many things were said again with the amount that they have. */
    private int $again = 0;

    private ?Amount $vessel = null;

    private ?Amount $whole = null;

    private string $unit = '';

    /** @param  array<int, string>  $rows by their number in the source */
    public function __construct(array $rows, private readonly Grammar $grammar, private readonly Vocabulary $vocabulary)
    {
        $measures = new OwnMeasures();
        $this->read($rows, $measures);
    }

    /** @param  array<int, string>  $rows */
    private function read(array $rows, OwnMeasures $measures): void
    {
        $before = null;
        foreach ($rows as $n => $row) {
            $read = array_map(
                fn (string $sentence): Read => $this->grammar->row($sentence, $this->vocabulary, $measures),
                $this->grammar->sentences($row, $this->vocabulary),
            );
            $torn = $before !== null && count($read) === 1 && $this->isTorn($this->rows[$before], $read[0])
                ? $this->grammar->row($this->rows[$before][0]->text.' '.$row, $this->vocabulary, $measures)
                : null;
            if ($torn !== null
                && $torn->cover->cost + self::TORN < $this->rows[$before][0]->cover->cost + $read[0]->cover->cost) {
                $this->rows[$before] = [$torn];

                continue;
            }
            $this->rows[$n] = $read;
            $before = $n;
        }
    }

    /**
     * A name that goes on in the next row: "Prunus Armeniaca Kernel" over "Oil 35.0".
     *
     * @param  non-empty-list<Read>  $rows
     */
    private function isTorn(array $rows, Read $next): bool
    {
        $one = $rows[0];

        return count($rows) === 1 && $one->measured() === [] && $one->cover->left === [] && $one->chart->length > 0
            && $one->chart->length < 7
            && $next->chart->length > 0 && $next->chart->isWord($next->chart->skip(0, '('));
    }

    /**
     * What goes in; open() says afterwards what of it is not understood.
     *
     * @return list<Entry>
     */
    public function entries(): array
    {
        $entries = [];
        $isUse = false;
        foreach ($this->rows as $n => $sentences) {
            $first = $sentences[0];
            $isUse = $first->isHeading(Kind::HeadUse) || ($isUse
                && ! $first->isHeading(Kind::HeadList, Kind::HeadMethod));
            foreach ($isUse ? [] : $sentences as $sentence) {
                $entries = $this->with($entries, $sentence, $n);
            }
        }
        $this->needs($entries === [] || ! $this->isShopping, 'bought or made');
        // Said again is a list as a whole; one thing alone may go in twice.
        $this->needs($this->again === 0 || $this->again >= count($entries), 'twice the same');
        $settled = $this->settled($entries);
        $this->nothingIsLeft($settled);

        return $settled;
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function with(array $entries, Read $read, int $row): array
    {
        $this->hear($read);
        if ($this->isRefused($read)) {
            // What is left out in silence must have no amount: whoever reads row by row asks about it.
            $isShopping = self::isBought($read);
            $this->isShopping = $this->isShopping || ($isShopping && $read->measured() !== []);
            $this->needs($isShopping || $read->measured() === [], 'told of something else: '.$read->text);

            return $entries;
        }
        $this->must(! $this->leavesFigures($read), 'a figure is left over: '.$read->text);
        $this->needs(! $read->chart->holds(Kind::Cover), 'as much as covers it: '.$read->text);
        $mends = $read->tells(Kind::Edit) || $read->tells(Kind::Correct);
        $isOpen = $read->offers() || ($read->measured() !== [] && $read->tells(Kind::Optional));
        $this->needs(! $isOpen, 'a choice: '.$read->text);
        $this->must(! $this->isUntold($read, $row), 'a row of its own: '.$read->text);
        $before = count($entries);
        foreach ($read->measuredPer() as [$item, $per]) {
            if ($this->isSize($item, $read, $row)) {
                $unit = $read->cover->asides(Aside::UNIT)[0]->amount->unit ?? '';
                $this->whole ??= $item->amount?->isBare() === true ? Amount::of($item->amount->count, $unit, 0, 0)
                    : $item->amount;

                continue;
            }
            $entries = $this->joined($entries, $this->entry($item, $row, $per), $mends);
        }
        if ($row !== array_key_first($this->rows) || count($entries) > $before) {
            foreach ($read->mentioned() as $item) {
                if (! $read->isCalled($item)) {
                    $this->mentioned[] = $item->name->text;
                }
            }
        }

        return $entries;
    }

    /**
     * "Curl cream (200 g)" over a list: how much it makes; "1 ml essential oils: 10 drops …": the sum of what
     * follows.
     */
    private function isSize(Item $item, Read $read, int $row): bool
    {
        if ($item->name->cost < Namings::UNKNOWN || $item->amount === null) {
            return false;
        }
        $isTitle = $row === array_key_first($this->rows) && count($this->rows) > 1
            && (in_array($item->amount->unit, ['g', 'kg', 'ml', 'l', 'oz', 'fl oz'], true)
                || $read->cover->asides(Aside::UNIT) !== [])
            && count($read->measured()) === 1;

        return $isTitle || $read->chart->isSign($item->name->to, ':');
    }

    /**
     * Every name of the text has its amount somewhere.
     *
     * @param  list<Entry>  $entries
     */
    private function nothingIsLeft(array $entries): void
    {
        $known = array_map(fn (Entry $e): string => $this->meant($e->name), $entries);
        foreach ($this->mentioned as $name) {
            $id = $this->meant($name);
            $isKnown = $id === '' || in_array($id, $known, true) || $this->isPartOf($name, $entries);
            $this->must($isKnown, 'no amount: '.$name);
        }
    }

    /**
     * "Melt the shea": a name that is the beginning of one in the list.
     *
     * @param  list<Entry>  $entries
     */
    private function isPartOf(string $name, array $entries): bool
    {
        foreach ($entries as $entry) {
            if (str_contains(mb_strtolower($entry->name), mb_strtolower($name))) {
                return true;
            }
        }

        return false;
    }

    private function entry(Item $item, int $row, ?Amount $per): Entry
    {
        $this->needs($item->choices === [], 'one of several: '.$item->name->text);
        // What has an amount with a unit is something, be it unknown; a word behind a figure may be anything.
        $isSomething = $item->name->cost < Namings::DOUBTFUL
            || ($item->name->cost <= Namings::UNKNOWN && $item->amount !== null && ! $item->amount->isBare());
        $this->must($isSomething, 'hardly a name: '.$item->name->text);

        return new Entry($item->name->text, $item->amount, $row, $per);
    }

    /** A short row that says nothing else may be a thing without an amount: "essential oils". */
    private function isUntold(Read $read, int $row): bool
    {
        return $row !== array_key_first($this->rows)
            && $read->cover->taken === []
            && $read->isOfWords()
            && $read->chart->length <= self::ALONE
            && ! $read->chart->isSign($read->chart->length - 1, ':', '!', '.', '?')
            && ! $read->isHeading(Kind::HeadList, Kind::HeadMethod, Kind::HeadUse);
    }

    /** A figure counts as left over where a sentence names something, or gives it a unit. */
    private function leavesFigures(Read $read): bool
    {
        foreach ($read->cover->left as $place) {
            $isMeasure = $read->chart->is($place + 1, Kind::Unit) || $read->chart->isSign($place + 1, '%');
            // "2 vanilla pods": a row of a list, be its name unknown.
            $isEnd = $place === $read->chart->length - 1 && $read !== (array_values($this->rows)[0][0] ?? null);
            $isListed = $read->chart->length <= self::LISTED
                && ($isEnd ? $read->chart->isWord($place - 1) : $place <= 1 && $read->chart->isWord($place + 1));
            if ($read->measured() !== [] || $isMeasure || $isListed) {
                return true;
            }
        }

        return false;
    }

    private function must(bool $holds, string $else): void
    {
        if (! $holds) {
            $this->open[] = $else;
        }
    }

    /** What means something else where it does not hold, however much of it is known. */
    private function needs(bool $holds, string $else): void
    {
        $this->must($holds, $else);
        $this->isMisread = $this->isMisread || ! $holds;
    }

    /** Whether it would say something else than the text does, once entries() was asked for. */
    public function isMisread(): bool
    {
        return $this->isMisread;
    }

    /** Whether it tells of shopping, and of nothing that is made, once entries() was asked for. */
    public function isShopping(): bool
    {
        return $this->isShopping && $this->open === [];
    }

    /** @return array<int, list<string>> figures that nothing takes, by their row */
    public function left(): array
    {
        $left = [];
        foreach ($this->rows as $n => $sentences) {
            foreach ($sentences as $read) {
                foreach ($this->leavesFigures($read) ? $read->cover->left : [] as $place) {
                    $left[$n][] = $read->chart->tokens[$place]->text;
                }
            }
        }

        return $left;
    }

    /** @return list<string> why it is not understood, once entries() was asked for; empty where it is */
    public function open(): array
    {
        return $this->open;
    }

    /** What a row says of the whole. */
    private function hear(Read $row): void
    {
        $this->vessel ??= $row->cover->asides(Aside::VESSEL)[0]->amount ?? null;
        $this->whole ??= $row->cover->asides(Aside::WHOLE)[0]->amount ?? null;
        $said = $row->cover->asides(Aside::UNIT)[0]->amount ?? null;
        $this->unit = $said === null ? $this->unit : $said->unit;
    }

    /** "Things that did not work: rice water": nothing of it goes in. */
    private function isRefused(Read $row): bool
    {
        $first = $row->cover->taken[0][0] ?? 0;
        for ($place = 0; $place < $first; $place++) {
            if ($row->chart->is($place, Kind::Not)) {
                return true;
            }
        }

        return $row->tells(Kind::Variant) || self::isBought($row);
    }

    /** "Bought the 120 ml castor oil", and not "50 g of the shea that I bought". */
    private static function isBought(Read $row): bool
    {
        return $row->chart->is(0, Kind::Bought) || $row->chart->is(1, Kind::Bought);
    }

    private function meant(string $name): string
    {
        return $this->meant[$name] ??= $this->grammar->meant($name);
    }

    private function isSame(string $one, string $other): bool
    {
        return mb_strtolower($one) === mb_strtolower($other)
            || ($this->meant($one) !== '' && $this->meant($one) === $this->meant($other));
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function joined(array $entries, Entry $entry, bool $mends): array
    {
        foreach ($entries as $n => $known) {
            if (! $this->isSame($known->name, $entry->name)) {
                continue;
            }
            if ($mends) {
                $amount = $entry->amount;
                $unit = $known->amount->unit ?? '';
                $entries[$n] = $known->with(
                    $amount?->isBare() === true ? Amount::of($amount->count, $unit, $amount->from, $amount->to)
                        : $amount,
                );

                return $entries;
            }
            $isSaidAgain = $known->amount?->unit === $entry->amount?->unit
                && abs(($known->amount->count ?? 0.0) - ($entry->amount->count ?? 0.0)) < 1e-9;
            if ($isSaidAgain) {
                $this->again++;

                return $entries;
            }
            $this->must(false, 'two amounts: '.$entry->name);
        }

        return [...$entries, $entry];
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function settled(array $entries): array
    {
        $entries = $this->related($entries);
        $unit = $this->unit !== '' ? $this->unit : $this->guessed($entries);
        $before = '';
        $settled = [];
        foreach ($entries as $entry) {
            $amount = $entry->amount;
            if ($amount === null) {
                continue;
            }
            $amount = match ($amount->unit) {
                Amount::BARE, Amount::SAME => $this->unitFor($entry, $amount, $unit, $before),
                Amount::FRACTION => $this->isLevel($entry, $entries)
                    ? $this->filled($entry, $amount->is('', unit: Amount::LEVEL), $entries, $settled, $unit)
                    : $this->part($amount),
                Amount::FILL, Amount::LEVEL, Amount::MARK => $this->filled($entry, $amount, $entries, $settled, $unit),
                default => $amount,
            };
            $goesOn = $entry->row === ($entries[count($settled) + 1]->row ?? -1);
            $before = $goesOn && ! $amount->isBare() ? $amount->unit : '';
            $settled[] = $entry->with($amount);
        }

        $this->partsAreWhole($entries);

        return $this->ofTheWhole($settled);
    }

    /**
     * Parts of the whole have to come to it; "a third of a jar" of no size is a part of nobody knows what.
     *
     * @param  list<Entry>  $entries as they were said
     */
    private function partsAreWhole(array $entries): void
    {
        $parts = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === Amount::FRACTION);
        $rests = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === Amount::FILL);
        $shares = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === '%');
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $parts))
            + array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $shares)) / 100.0;
        $isWhole = ($sum > 0.97 && $sum < 1.06) || ($rests !== [] && $sum < 1.0) || $this->vessel !== null;
        $this->needs($parts === [] || $isWhole, 'parts of nobody knows what');
    }

    /**
     * What is said of so much of the whole as an amount of all of it. A recipe in parts or shares is made of just that
     * much.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function ofTheWhole(array $entries): array
    {
        $per = array_values(array_filter(array_map(static fn (Entry $e): ?Amount => $e->per, $entries)))[0] ?? null;
        if ($per === null) {
            return $entries;
        }
        $base = array_filter($entries, static fn (Entry $e): bool => $e->per === null);
        $units = array_unique(array_map(static fn (Entry $e): string => $e->amount->unit ?? '', $base));
        $shares = $units === ['parts'] || $units === ['%'];
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $base));
        $size = $this->holds($per);
        $total = array_sum(array_map(fn (Entry $e): float => $this->holds($e->amount), $base));
        $isKnown = $size > 1.0 && $sum > 0.0 && ($shares || $total > 1.0);
        $this->needs($isKnown, 'said of so much of nobody knows what');

        return $isKnown ? $this->scaled($entries, $per, $shares ? $sum : null, $total) : $entries;
    }

    /**
     * @param  list<Entry>  $entries
     * @param  float|null  $sum of the parts or shares; null where the amounts are their own
     * @param  float  $total what all of them take, ml
     * @return list<Entry>
     */
    private function scaled(array $entries, Amount $per, ?float $sum, float $total): array
    {
        $size = $this->holds($per);
        $unit = in_array($per->unit, ['g', 'kg', 'oz'], true) ? 'g' : 'ml';
        $whole = $unit === 'g' ? $size * 0.92 : $size;

        return array_map(function (Entry $e) use ($sum, $whole, $unit, $total): Entry {
            $amount = $e->amount;
            if ($amount === null) {
                return $e;
            }
            if ($e->per === null && $sum !== null) {
                $much = round($whole * $amount->count / $sum, 2);

                return $e->with(Amount::of($much, $unit, $amount->from, $amount->to));
            }
            if ($e->per === null || $sum !== null) {
                return $e;
            }
            $much = round($amount->count * $total / $this->holds($e->per), 1);

            return $e->with(Amount::of($much, $amount->unit, $amount->from, $amount->to));
        }, $entries);
    }

    /**
     * "Twice as much jojoba as castor": as much as the other has, or both in parts where neither has an amount.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function related(array $entries): array
    {
        $related = [];
        foreach ($entries as $n => $entry) {
            $amount = $entry->amount;
            if ($amount?->unit !== Amount::TIMES) {
                $related[] = $entry;

                continue;
            }
            $other = $amount->text === '' ? $related[count($related) - 1] ?? null
                : $this->called($amount->text, $entries);
            $of = $other?->amount;
            if ($of !== null && $of->unit !== Amount::TIMES) {
                $related[] = $entry->with(Amount::of($of->count * $amount->count, $of->unit, $amount->from,
                    $amount->to));
            } else {
                $this->needs($amount->text !== '', 'so many times nobody knows what: '.$entry->name);
                $related[] = $entry->with(Amount::of($amount->count, 'parts', $amount->from, $amount->to));
                $related[] = new Entry($amount->text, Amount::of(1.0, 'parts', $amount->from, $amount->to),
                    $entry->row);
            }
        }

        return $related;
    }

    /** @param  list<Entry>  $entries */
    private function called(string $name, array $entries): ?Entry
    {
        $id = $this->meant($name);
        foreach ($entries as $entry) {
            if ($this->meant($entry->name) === $id) {
                return $entry;
            }
        }

        return null;
    }

    private function unitFor(Entry $entry, Amount $amount, string $unit, string $before): Amount
    {
        $unit = $unit === '' && $amount->unit === Amount::SAME ? $before : $unit;
        if ($unit === '') {
            // "1 egg", "2 onions": a figure alone counts pieces, or nobody knows what.
            $isPieces = $amount->unit === Amount::BARE && $this->grammar->isCounted($entry->name);
            $this->must($isPieces, 'no unit: '.$entry->name);

            return $amount;
        }

        return $unit === self::PART
            ? Amount::of(round(100.0 * $amount->count, 2), '%', $amount->from, $amount->to)
            : $amount->is($amount->text.' '.$unit, unit: $unit);
    }

    /**
     * "Halfway with olive, then three quarters with coconut": where one is a level, the others are.
     *
     * @param  list<Entry>  $entries
     */
    private function isLevel(Entry $entry, array $entries): bool
    {
        foreach ($entries as $other) {
            if ($other->row === $entry->row && $other->amount?->unit === Amount::LEVEL) {
                return true;
            }
        }

        return false;
    }

    private function part(Amount $amount): Amount
    {
        $holds = $this->vessel === null ? null : $this->millilitres($this->vessel);

        return $holds === null
            ? Amount::of(round($amount->count * 100.0, 2), '%', $amount->from, $amount->to)
            : Amount::of(round($amount->count * $holds, 1), 'ml', $amount->from, $amount->to);
    }

    private function millilitres(Amount $amount): ?float
    {
        $one = self::MILLILITRES[$amount->unit] ?? null;

        return $one === null ? null : $one * $amount->count;
    }

    /**
     * Up to a level, where more is filled in after it, is what lies between that and what was there.
     *
     * @param  list<Entry>  $entries all of them
     * @param  list<Entry>  $before those before it
     */
    private function filled(Entry $entry, Amount $amount, array $entries, array $before, string $unit): Amount
    {
        $level = $this->level($amount);
        if ($level === null) {
            return $this->rest($amount, $entries, $unit);
        }
        $later = array_slice($entries, count($before) + 1);
        $isLast = array_filter($later, fn (Entry $e): bool => $e->amount !== null
            && $this->holds($e->amount) > 0.0) === [];
        $there = array_sum(array_map(fn (Entry $e): float => $e->amount === null ? 0.0
            : $this->holds($e->amount), $before));
        if ($isLast && $amount->unit === Amount::FILL) {
            return $amount;
        }
        $this->needs($level > $there, 'a level below what is there: '.$entry->name);

        return Amount::of(round(max(0.0, $level - $there), 1), 'ml', $amount->from, $amount->to);
    }

    /** Where a level stands, ml; null where it is none, or nobody knows how much the vessel holds. */
    private function level(Amount $amount): ?float
    {
        $vessel = $this->vessel ?? $this->whole;
        $holds = $vessel === null ? null : $this->millilitres($vessel);

        return match ($amount->unit) {
            Amount::MARK => $amount->count,
            Amount::LEVEL => $holds === null ? null : $holds * $amount->count,
            default => preg_match('/^to make [\d.]+ (ml|l|fl oz|oz|cups)$/', $amount->text, $m) === 1
                ? $amount->count * (self::MILLILITRES[$m[1]] ?? 240.0)
                : null,
        };
    }

    /** How much room an amount takes, ml; 0 where that is next to nothing or not known. */
    private function holds(?Amount $amount): float
    {
        return $amount === null ? 0.0 : match ($amount->unit) {
            'ml' => $amount->count,
            'l' => 1000.0 * $amount->count,
            'g' => $amount->count / 0.92,
            'tbsp' => 15.0 * $amount->count,
            'tsp' => 5.0 * $amount->count,
            'cups' => 240.0 * $amount->count,
            'oz', 'fl oz' => 29.5735 * $amount->count,
            Amount::FILL, Amount::LEVEL, Amount::MARK, Amount::FRACTION => 1.0,
            default => 0.0,
        };
    }

    /** @param  list<Entry>  $entries */
    private function rest(Amount $amount, array $entries, string $unit): Amount
    {
        if ($amount->count > 0.0) {
            return $amount;
        }
        $isShares = array_filter(
            $entries,
            static fn (Entry $e): bool => $e->amount?->unit === '%' || ($e->amount?->isBare() === true
                && $unit === '%'),
        ) !== [];
        $whole = $this->whole ?? $this->vessel;
        if ($isShares || $whole === null) {
            $this->needs($isShares || $whole !== null, 'the rest of nobody knows what');
            $this->needs($amount->unit === Amount::FILL, 'a level in a vessel of no size');

            return $amount;
        }

        $holds = $whole === $this->vessel || ! in_array($whole->unit, ['g', 'kg', 'oz', 'lb'], true)
            ? $this->millilitres($whole) : null;

        return $amount->is($holds === null
            ? 'to make '.Amount::figure($whole->count).' '.$whole->unit
            : 'to make '.Amount::figure(round($holds, 2)).' ml');
    }

    /**
     * The unit of figures that have none, where they come to a hundred.
     *
     * @param  list<Entry>  $entries
     */
    private function guessed(array $entries): string
    {
        $bare = array_filter($entries, static fn (Entry $e): bool => $e->amount?->isBare() === true);
        $fills = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === Amount::FILL);
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $bare));
        $isHundred = $sum >= self::HUNDRED[0] && $sum <= self::HUNDRED[1];

        return count($bare) > 1 && count($bare) + count($fills) === count($entries)
            && ($isHundred || ($fills !== [] && $sum < 100.0))
            ? '%'
            : (count($bare) > 1 && abs($sum - 1.0) < 0.02 ? self::PART : '');
    }
}
