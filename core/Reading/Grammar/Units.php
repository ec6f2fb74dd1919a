<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** The unit of figures that have none; what is said as a part, a level or the rest is handed to Levels. */
final class Units
{
    /** Figures that come to one: parts of the whole. */
    private const PART = 'of one';

    /** Per cents that come to all of it. */
    public const HUNDRED = [98.0, 102.0];

    private const NEEDED = 'As much as it needs. How much that is, is not said.';

    /** Bare figures from which they are a list in parts; beside drops and shares fewer are enough. */
    private const LISTED = 3;

    private const ALONE = 2;

    /** Measures of what makes up a jar, each with the finer one that a large figure beside it is in. */
    private const MAIN = ['g' => 'g', 'kg' => 'g', 'ml' => 'ml', 'l' => 'ml', 'oz' => 'oz', 'fl oz' => 'fl oz',
        'tbsp' => 'tbsp', 'tsp' => 'tsp', 'cups' => 'cups'];

    private const LARGE = 10.0;

    /** Figures below that may count pieces. */
    private const FEW = 5.0;

    /** The unit of all of them; "" for none. */
    private readonly string $unit;

    /** Whether nothing is said of the unit of a whole list. */
    private readonly bool $isParts;

    /** The one unit that all main amounts with a unit have; "" where they have none or several. */
    private readonly string $main;

    private readonly Levels $levels;

    /** The unit of what stands before one in its sentence. */
    private string $before = '';

    /** @param  list<Entry>  $entries in the order of the text */
    public function __construct(
        private readonly Whole $whole,
        private readonly array $entries,
        private readonly Grammar $grammar,
    ) {
        $this->unit = $whole->unit() !== '' ? $whole->unit() : $this->guessed();
        $main = array_values(array_unique(array_filter(
            array_map(static fn (Entry $e): string => $e->amount->unit ?? '', $entries),
            static fn (string $unit): bool => isset(self::MAIN[$unit]),
        )));
        $this->main = count($main) === 1 ? $main[0] : '';
        $open = array_filter($entries, fn (Entry $e): bool => self::isBare($e) && ! $grammar->isCounted($e->name()));
        $this->isParts = $this->unit === '' && $this->main === ''
            && count($open) >= ($main === [] ? self::ALONE : self::LISTED);
        $this->levels = new Levels($whole, $entries, $this->unit === '%');
    }

    /** @return list<Entry> each with its amount in the unit that counts */
    public function settled(): array
    {
        $settled = [];
        foreach ($this->entries as $n => $entry) {
            $amount = $entry->amount;
            $settled[$n] = $amount === null ? $entry : $this->one($entry, $amount, $settled);
            $goesOn = $entry->part === ($this->entries[$n + 1]->part ?? -1);
            $this->before = match (true) {
                ! $goesOn => '',
                $amount?->isBare() === true => $this->unit === '' && $amount->unit === Amount::SAME
                    ? $this->before : '',
                default => $settled[$n]->amount->unit ?? '',
            };
        }

        return array_values($settled);
    }

    private static function isBare(Entry $entry): bool
    {
        return $entry->amount?->isBare() === true;
    }

    /** @param  array<int, Entry>  $before those before it, settled */
    private function one(Entry $entry, Amount $amount, array $before): Entry
    {
        return match ($amount->unit) {
            Amount::BARE, Amount::SAME => $this->inUnit($entry, $amount),
            Amount::FRACTION => $this->fraction($entry, $amount, $before),
            Amount::FILL => $amount->count > 0.0 || $this->grammar->fillsUp($entry->name())
                ? $this->levels->filled($entry, $amount, $before)
                : $entry->with(null)->asking(self::NEEDED),
            Amount::LEVEL, Amount::MARK => $this->levels->filled($entry, $amount, $before),
            default => $entry,
        };
    }

    /**
     * "A third of argan": a part of the whole, of one fruit, or up to a level; half a gram where all are in grams.
     *
     * @param  array<int, Entry>  $before
     */
    private function fraction(Entry $entry, Amount $amount, array $before): Entry
    {
        $figure = $amount->is(Amount::figure($amount->count));

        return match (true) {
            ! in_array($this->unit, ['', '%', self::PART], true) => $this->inUnit($entry, $figure),
            $this->grammar->isCounted($entry->name()) && ! $this->areParts() => $entry->with(
                $amount->is($figure->text, unit: Amount::BARE),
            ),
            $this->levels->isLevel($entry, $amount, $before) => $this->levels->filled(
                $entry,
                $amount->is('', unit: Amount::LEVEL),
                $before,
            ),
            default => $this->levels->part($entry, $amount),
        };
    }

    /** Whether parts of the whole are said of several things: "mango 1/4" beside them is no fruit. */
    private function areParts(): bool
    {
        $parts = array_filter($this->entries, fn (Entry $e): bool => $e->amount?->unit === Amount::FRACTION
            && ! $this->grammar->isCounted($e->name()));

        return count($parts) > 1;
    }

    private function inUnit(Entry $entry, Amount $amount): Entry
    {
        $isCounted = $amount->unit === Amount::BARE && $this->grammar->isCounted($entry->name());
        // "10 curry leaves", "1 avocado", "5 lavender" are not measured as the oils are.
        $isMain = $this->main !== '' && $amount->count >= self::FEW && $this->grammar->isFat($entry->name());
        $main = $amount->count >= self::LARGE ? self::MAIN[$this->main] ?? '' : $this->main;
        $isNext = $this->unit === '' && ! in_array($this->before, ['', 'drops', Amount::COVER], true);

        return match (true) {
            $this->unit === self::PART => $entry->with(
                Amount::of(round(100.0 * $amount->count, 2), '%', $amount->from, $amount->to),
            ),
            $this->unit !== '' => $entry->with($amount->is($amount->text.' '.$this->unit, unit: $this->unit)),
            // "1 egg", "2 onions": a figure alone counts pieces, or nobody knows what.
            $isCounted => $entry,
            // "Ten drops of lavender, five of cedarwood".
            $amount->unit === Amount::SAME && $this->before !== '' => $entry->with(
                $amount->is($amount->text.' '.$this->before, unit: $this->before),
            ),
            $this->isParts => $entry->with(Amount::of($amount->count, 'parts', $amount->from, $amount->to))->asking(
                'Its unit is not said. It was taken as parts, which gives the same shares.',
            ),
            $isNext && ! ($isMain && $main !== $this->main) => $entry->with(
                $amount->is($amount->text.' '.$this->before, unit: $this->before),
            )->asking(
                sprintf('Its unit is not said. It was taken as %s, as what stands before it.', $this->before),
            ),
            $isMain => $entry->with($amount->is("$amount->text $main", unit: $main))->asking(
                "Its unit is not said. It was taken as $main, as the others.",
            ),
            default => $entry,
        };
    }

    /** The unit of figures that have none: that of a sum which they come to, or per cent where that is a hundred. */
    private function guessed(): string
    {
        $bare = array_filter($this->entries, self::isBare(...));
        $fills = array_filter($this->entries, static fn (Entry $e): bool => $e->amount?->unit === Amount::FILL);
        $known = array_filter($this->entries, static fn (Entry $e): bool => $e->amount !== null);
        // "Shea 60, olive 39, vitamin E 1 %": the sign is said once.
        $shares = array_filter($this->entries, static fn (Entry $e): bool => $e->amount?->unit === '%');
        $count = static fn (Entry $e): float => $e->amount->count ?? 0.0;
        $sum = array_sum(array_map($count, $bare));
        $all = $sum + array_sum(array_map($count, $shares));
        $isAll = count($bare) + count($fills) + count($shares) === count($known);
        $isHundred = $all >= self::HUNDRED[0] && $all <= self::HUNDRED[1];
        $size = $this->whole->size();
        $isOfSize = $isAll && $bare !== [] && $fills !== [] && $shares === [] && $size !== null
            && isset(self::MAIN[$size->unit]) && $sum < $size->count;

        return match (true) {
            // "150 g in all: beeswax 50, rest olive".
            $isOfSize => $size->unit,
            count($bare) < 2 => '',
            $this->whole->unitOfSum($sum) !== '' => $this->whole->unitOfSum($sum),
            $isAll && ($isHundred || ($fills !== [] && $all < 100.0)) => '%',
            abs($sum - 1.0) < 0.02 => self::PART,
            default => '',
        };
    }
}
