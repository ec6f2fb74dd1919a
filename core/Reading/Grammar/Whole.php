<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\CupSize;
use Crown\Measure\Unit;

/**
 * What amounts are held against: how much there is of it all, what holds it, and in what bare figures are. Amounts are
 * settled by it: parts, levels, what fills up the rest, drops for so much of the whole.
 */
final class Whole
{
    /** Figures that come to one: parts of the whole. */
    private const PART = 'of one';

    private const HUNDRED = [98.0, 102.0];

    /** Bare figures from which they are a list in parts. */
    private const LISTED = 3;

    /** How near a sum is to what was said of it. */
    private const NEAR = 0.03;

    /** Grams of a millilitre of oil. */
    private const OIL = 0.92;

    /** @var list<Amount> what its amounts are said to come to */
    private array $sums = [];

    private ?Amount $vessel = null;

    private ?Amount $whole = null;

    private string $unit = '';

    public function __construct(private readonly CupSize $cup)
    {
    }

    /** What a sentence says of the whole. */
    public function hear(Sentence $sentence): void
    {
        $this->vessel ??= $sentence->cover->asides(Aside::VESSEL)[0]->amount ?? null;
        $this->whole ??= $sentence->cover->asides(Aside::WHOLE)[0]->amount ?? null;
        foreach ([...$sentence->cover->asides(Aside::WHOLE), ...$sentence->cover->asides(Aside::SUM)] as $sum) {
            $this->sums[] = $sum->amount ?? Amount::of(0.0, '', 0, 0);
        }
        $said = $sentence->cover->asides(Aside::UNIT)[0]->amount ?? null;
        $this->unit = $said === null ? $this->unit : $said->unit;
    }

    /** The size of it all, as its title has it. */
    public function is(Amount $size, Sentence $sentence): void
    {
        $unit = $sentence->cover->asides(Aside::UNIT)[0]->amount->unit ?? '';
        $this->whole ??= $size->isBare() ? Amount::of($size->count, $unit, 0, 0) : $size;
    }

    /**
     * @param  list<Entry>  $entries
     * @param  callable(string): string  $meant what a name means
     * @param  callable(string): bool  $isCounted whether a thing is counted by the piece
     * @param  callable(string): bool  $isPlant whether it stands in the rest, and takes no room
     * @return list<Entry> each with its amount in the unit that counts
     */
    public function settled(array $entries, callable $meant, callable $isCounted, callable $isPlant): array
    {
        $entries = $this->related($entries, $meant);
        $unit = $this->unit !== '' ? $this->unit : $this->guessed($entries);
        $isParts = $unit === '' && count(array_filter($entries, self::isBare(...))) >= self::LISTED;
        $before = '';
        $settled = [];
        foreach ($entries as $n => $entry) {
            $amount = $entry->amount;
            $entry = match ($amount?->unit) {
                null => $entry,
                Amount::BARE, Amount::SAME => $this->unitFor($entry, $amount, $unit, $before, $isParts, $isCounted),
                Amount::FRACTION => $unit !== '' && $unit !== '%' && $unit !== self::PART
                    ? $this->unitFor($entry, $amount->is(Amount::figure($amount->count)), $unit, $before, $isParts, $isCounted)
                    : ($this->isLevel($entry, $entries) && $this->isHigher($amount, $settled)
                    ? $this->filled($entry, $amount->is('', unit: Amount::LEVEL), $entries, $settled, $unit)
                    : $this->part($entry, $amount, $entries, $isCounted)),
                Amount::FILL, Amount::LEVEL, Amount::MARK => $this->filled($entry, $amount, $entries, $settled, $unit),
                default => $entry,
            };
            $goesOn = $entry->part === ($entries[$n + 1]->part ?? -1);
            $before = match (true) {
                ! $goesOn => '',
                $amount?->isBare() === true => $unit === '' && $amount->unit === Amount::SAME ? $before : '',
                default => $entry->amount->unit ?? '',
            };
            $settled[] = $entry;
        }

        return $this->sized($this->ofTheWhole($settled, $isPlant));
    }

    private static function isBare(Entry $entry): bool
    {
        return $entry->amount?->isBare() === true;
    }

    /**
     * "Twice as much jojoba as castor": as much as the other has, or both in parts where neither has an amount.
     *
     * @param  list<Entry>  $entries
     * @param  callable(string): string  $meant
     * @return list<Entry>
     */
    private function related(array $entries, callable $meant): array
    {
        $related = [];
        foreach ($entries as $entry) {
            $amount = $entry->amount;
            if ($amount?->unit !== Amount::TIMES) {
                $related[] = $entry;

                continue;
            }
            $other = $amount->text === '' ? $related[count($related) - 1] ?? null
                : self::called($amount->text, $entries, $meant);
            $of = $other?->amount;
            if ($of !== null && $of->unit !== Amount::TIMES) {
                $related[] = $entry->with(Amount::of($of->count * $amount->count, $of->unit, $amount->from,
                    $amount->to));
            } elseif ($amount->text === '') {
                $related[] = $entry->with(null)->asking('So many times the amount of what?');
            } else {
                $one = Amount::of(1.0, 'parts', $amount->from, $amount->to);
                $name = new Named($amount->text, 0.0, $entry->item->name->to, $entry->item->name->to);
                $related[] = $entry->with(Amount::of($amount->count, 'parts', $amount->from, $amount->to));
                $related[] = new Entry($entry->part, new Item($one, $name), $one);
            }
        }

        return $related;
    }

    /**
     * @param  list<Entry>  $entries
     * @param  callable(string): string  $meant
     */
    private static function called(string $name, array $entries, callable $meant): ?Entry
    {
        $id = $meant($name);
        foreach ($entries as $entry) {
            if ($meant($entry->name()) === $id) {
                return $entry;
            }
        }

        return null;
    }

    /** @param  callable(string): bool  $isCounted */
    private function unitFor(
        Entry $entry,
        Amount $amount,
        string $unit,
        string $before,
        bool $isParts,
        callable $isCounted,
    ): Entry {
        $isNext = $unit === '' && $before !== '' && ! in_array($before, ['drops', Amount::COVER], true)
            && $amount->unit === Amount::BARE && ! $isParts && ! $isCounted($entry->name());
        if ($isNext) {
            return $entry->with($amount->is($amount->text.' '.$before, unit: $before))->asking(
                sprintf('Its unit is not said. It was taken as %s, as what stands before it.', $before),
            );
        }
        $unit = $unit === '' && $amount->unit === Amount::SAME ? $before : $unit;

        return match (true) {
            $unit === self::PART => $entry->with(
                Amount::of(round(100.0 * $amount->count, 2), '%', $amount->from, $amount->to),
            ),
            $unit !== '' => $entry->with($amount->is($amount->text.' '.$unit, unit: $unit)),
            // "1 egg", "2 onions": a figure alone counts pieces, or nobody knows what.
            $amount->unit === Amount::BARE && $isCounted($entry->name()) => $entry,
            $isParts => $entry->with(Amount::of($amount->count, 'parts', $amount->from, $amount->to))->asking(
                'Its unit is not said. It was taken as parts, which gives the same shares.',
            ),
            default => $entry,
        };
    }

    /**
     * The unit of figures that have none: that of a sum which they come to, or per cent where they come to a hundred.
     *
     * @param  list<Entry>  $entries
     */
    private function guessed(array $entries): string
    {
        $bare = array_filter($entries, self::isBare(...));
        $fills = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === Amount::FILL);
        $known = array_filter($entries, static fn (Entry $e): bool => $e->amount !== null);
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $bare));
        $isAll = count($bare) > 1 && count($bare) + count($fills) === count($known);

        return match (true) {
            count($bare) > 1 && $this->unitOfSum($sum) !== '' => $this->unitOfSum($sum),
            $isAll && $sum >= self::HUNDRED[0] && $sum <= self::HUNDRED[1] => '%',
            $isAll && $fills !== [] && $sum < 100.0 => '%',
            count($bare) > 1 && abs($sum - 1.0) < 0.02 => self::PART,
            default => '',
        };
    }

    /** The unit of what some figures are said to come to; "" where they do not. */
    private function unitOfSum(float $sum): string
    {
        foreach ([...$this->sums, $this->whole] as $said) {
            if ($said !== null && ! $said->isBare() && $said->count > 0.0 && abs($sum - $said->count) <= self::NEAR * $said->count) {
                return $said->unit;
            }
        }

        return '';
    }

    /**
     * "Halfway with olive, then three quarters with coconut": where one is a level, the others are.
     *
     * @param  list<Entry>  $entries
     */
    private function isLevel(Entry $entry, array $entries): bool
    {
        foreach ($entries as $other) {
            if ($other->part === $entry->part && $other->amount?->unit === Amount::LEVEL) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a level stands above what is in it: "to the half with olive, a quarter with coconut" is a part.
     *
     * @param  list<Entry>  $before
     */
    private function isHigher(Amount $amount, array $before): bool
    {
        $level = $this->level($amount->is('', unit: Amount::LEVEL));
        $there = array_sum(array_map(fn (Entry $e): float => $this->holds($e->amount), $before));

        return $level === null || $level > $there;
    }

    /**
     * A part of the whole. Parts have to come to it: "a third of a jar" of no size is a part of nobody knows what.
     *
     * @param  list<Entry>  $entries as they were said
     * @param  callable(string): bool  $isCounted
     */
    private function part(Entry $entry, Amount $amount, array $entries, callable $isCounted): Entry
    {
        if ($isCounted($entry->name())) {
            // "Half an avocado" is a part of one.
            return $entry->with($amount->is(Amount::figure($amount->count), unit: Amount::BARE));
        }
        $holds = $this->vessel === null ? null : $this->millilitres($this->vessel);
        if ($holds === null && $this->whole !== null && in_array($this->whole->unit, Amount::SIZES, true)) {
            $much = round($amount->count * $this->whole->count, 2);

            return $entry->with(Amount::of($much, $this->whole->unit, $amount->from, $amount->to));
        }
        if ($holds !== null) {
            return $entry->with(Amount::of(round($amount->count * $holds, 1), 'ml', $amount->from, $amount->to));
        }
        $share = $entry->with(Amount::of(round($amount->count * 100.0, 2), '%', $amount->from, $amount->to));

        return $this->areWhole($entries) ? $share : $entry->with(null)->asking(
            sprintf('"%s" of what? The other amounts do not say how much the whole is.', $amount->text),
        );
    }

    /** @param  list<Entry>  $entries */
    private function areWhole(array $entries): bool
    {
        $sum = 0.0;
        $rests = false;
        foreach ($entries as $entry) {
            $sum += match ($entry->amount?->unit) {
                Amount::FRACTION => $entry->amount->count,
                '%' => $entry->amount->count / 100.0,
                default => 0.0,
            };
            $rests = $rests || $entry->amount?->unit === Amount::FILL;
        }

        return ($sum > 0.97 && $sum < 1.06) || ($rests && $sum < 1.0);
    }

    /**
     * Up to a level, where more is filled in after it, is what lies between that and what was there.
     *
     * @param  list<Entry>  $entries all of them
     * @param  list<Entry>  $before those before it, settled
     */
    private function filled(Entry $entry, Amount $amount, array $entries, array $before, string $unit): Entry
    {
        $level = $this->level($amount);
        if ($level === null) {
            return $this->rest($entry, $amount, $entries, $unit);
        }
        $later = array_slice($entries, count($before) + 1);
        $isLast = array_filter($later, fn (Entry $e): bool => $this->holds($e->amount) > 0.0) === [];
        $there = array_sum(array_map(fn (Entry $e): float => $this->holds($e->amount), $before));
        $holds = $this->vessel === null ? null : $this->millilitres($this->vessel);
        $isFull = $holds === null || $level >= 0.97 * $holds;
        if ($isLast && $isFull && $amount->unit === Amount::FILL) {
            return $entry;
        }
        if ($level <= $there) {
            return $entry->with(null)->asking('More than that is in it already. How much is meant?');
        }

        return $entry->with(Amount::of(round($level - $there, 1), 'ml', $amount->from, $amount->to));
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
                ? $this->millilitres($amount->is($amount->text, unit: $m[1]))
                : null,
        };
    }

    /** @param  list<Entry>  $entries */
    private function rest(Entry $entry, Amount $amount, array $entries, string $unit): Entry
    {
        if ($amount->count > 0.0 && $amount->unit === Amount::FILL) {
            return $entry;
        }
        $isShares = $unit === '%' || array_filter(
            $entries,
            fn (Entry $e): bool => $e->amount?->unit === '%'
                || ($e->amount?->unit === Amount::FRACTION && $this->vessel === null),
        ) !== [];
        $whole = $this->whole ?? $this->vessel;
        if (count($entries) > 1 && ($amount->unit !== Amount::FILL || (! $isShares && $whole === null))) {
            return $entry->with($amount->is($amount->unit === Amount::FILL ? $amount->text : ''))->asking(
                'How much the whole is, is not said.',
            );
        }
        if ($isShares || $whole === null) {
            return $entry;
        }
        $holds = $whole === $this->vessel || ! in_array($whole->unit, ['g', 'kg', 'oz', 'lb'], true)
            ? $this->millilitres($whole) : null;

        return $entry->with($amount->is($holds === null
            ? 'to make '.Amount::figure($whole->count).' '.$whole->unit
            : 'to make '.Amount::figure(round($holds, 2)).' ml'));
    }

    /**
     * Parts of a whole of known size as so much of it: "3:1 shea and olive, makes 200 g".
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function sized(array $entries): array
    {
        $whole = $this->whole ?? $this->sums[0] ?? $this->vessel;
        $shares = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === '%');
        $percent = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $shares));
        $isShared = $percent >= self::HUNDRED[0] && $percent <= self::HUNDRED[1] && count($shares) < count($entries);
        $is = $isShared ? '%' : 'parts';
        $parts = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === $is && $e->doubt === '');
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $parts));
        $others = array_filter($entries, static fn (Entry $e): bool => $e->amount !== null
            && in_array($e->amount->unit, [...Amount::SIZES, 'cups', 'tbsp', Amount::FILL], true));
        if ($whole === null || ! in_array($whole->unit, Amount::SIZES, true) || $sum <= 0.0 || $others !== []) {
            return $entries;
        }
        [$size, $unit] = in_array($whole->unit, ['g', 'kg'], true) && $whole !== $this->vessel
            ? [$whole->count, $whole->unit]
            : [$this->millilitres($whole) ?? $whole->count, $this->millilitres($whole) === null ? $whole->unit : 'ml'];

        return array_map(static fn (Entry $e): Entry => $e->amount?->unit !== $is ? $e : $e->with(
            Amount::of(round($size * $e->amount->count / $sum, 2), $unit, $e->amount->from, $e->amount->to),
        ), $entries);
    }

    /**
     * What is said of so much of the whole as an amount of all of it. A recipe in parts or shares is made of just that
     * much.
     *
     * @param  list<Entry>  $entries
     * @param  callable(string): bool  $isPlant
     * @return list<Entry>
     */
    private function ofTheWhole(array $entries, callable $isPlant): array
    {
        $per = array_values(array_filter(array_map(static fn (Entry $e): ?Amount => $e->per, $entries)))[0] ?? null;
        if ($per === null) {
            return $entries;
        }
        $base = array_filter($entries, static fn (Entry $e): bool => $e->per === null && $e->amount !== null);
        $units = array_values(array_unique(array_map(static fn (Entry $e): string => $e->amount->unit ?? '', $base)));
        $isShares = $units === ['parts'] || $units === ['%'];
        $sum = array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $base));
        $size = $this->holds($per);
        $poured = array_filter($base, static fn (Entry $e): bool => ! $isPlant($e->name()));
        $total = array_sum(array_map(fn (Entry $e): float => $this->holds($e->amount), $poured));
        if ($base === []) {
            // "Per 100 g: shea 55, …": all of it, and no more.
            return array_map(static fn (Entry $e): Entry => $e->with($e->amount), $entries);
        }
        if ($size <= 0.0 || $sum <= 0.0 || (! $isShares && $total <= 1.0)) {
            return array_map(static fn (Entry $e): Entry => $e->per === null ? $e
                : $e->asking('For how much of the whole it is, cannot be told.'), $entries);
        }

        return $this->scaled($entries, $per, $isShares ? $sum : null, $total);
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
        $whole = $unit === 'g' ? $size * self::OIL : $size;

        return array_map(function (Entry $e) use ($sum, $whole, $unit, $total): Entry {
            $amount = $e->amount;
            if ($amount === null || ($e->per === null) === ($sum === null)) {
                return $e;
            }
            $much = $sum !== null
                ? [round($whole * $amount->count / $sum, 2), $unit]
                : [round($amount->count * $total / $this->holds($e->per), 1), $amount->unit];

            return $e->with(Amount::of($much[0], $much[1], $amount->from, $amount->to));
        }, $entries);
    }

    /** Millilitres of a volume, and of an ounce as a bottle has it; null for any other measure. */
    private function millilitres(Amount $amount): ?float
    {
        $unit = match ($amount->unit) {
            'ml' => Unit::Millilitre,
            'l' => Unit::Litre,
            'oz', 'fl oz' => Unit::FluidOunce,
            'tbsp' => Unit::Tablespoon,
            'tsp' => Unit::Teaspoon,
            'cups' => Unit::Cup,
            default => null,
        };

        return $unit === null ? null : $amount->count * $unit->millilitres($this->cup);
    }

    /** How much room an amount takes, ml; 0 where that is next to nothing or not known. */
    private function holds(?Amount $amount): float
    {
        return $amount === null ? 0.0 : match ($amount->unit) {
            'g' => $amount->count / self::OIL,
            Amount::FILL, Amount::LEVEL, Amount::MARK, Amount::FRACTION => 1.0,
            default => $this->millilitres($amount) ?? 0.0,
        };
    }
}
