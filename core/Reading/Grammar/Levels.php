<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What is poured by sight: up to a mark, to a half, a part of the vessel, the rest. */
final readonly class Levels
{
    /** From which part of a vessel on it is full. */
    private const FULL = 0.97;

    /**
     * @param  list<Entry>  $entries all of them, as they were said
     * @param  bool  $isPercent whether bare figures are per cents
     */
    public function __construct(private Whole $whole, private array $entries, private bool $isPercent)
    {
    }

    /**
     * "Halfway with olive, then three quarters with coconut": where one is a level, the others are, as far as they
     * stand above what is in it.
     *
     * @param  array<int, Entry>  $before
     */
    public function isLevel(Entry $entry, Amount $amount, array $before): bool
    {
        $level = $this->level($amount->is('', unit: Amount::LEVEL));
        if ($level !== null && $level <= $this->whole->roomOf($before)) {
            return false;
        }
        foreach ($this->entries as $other) {
            if ($other->part === $entry->part && $other->amount?->unit === Amount::LEVEL) {
                return true;
            }
        }

        return false;
    }

    /** A part of the whole. Parts have to come to it: "a third" of no size is a part of nobody knows what. */
    public function part(Entry $entry, Amount $amount): Entry
    {
        $holds = $this->whole->holds();
        $size = $this->whole->size();
        [$much, $unit] = match (true) {
            $holds !== null => [round($amount->count * $holds, 1), 'ml'],
            $size !== null && in_array($size->unit, Amount::SIZES, true) => [
                round($amount->count * $size->count, 2),
                $size->unit,
            ],
            default => [round($amount->count * 100.0, 2), '%'],
        };

        return $unit !== '%' || $this->areWhole()
            ? $entry->with(Amount::of($much, $unit, $amount->from, $amount->to))
            : $entry->with(null)->asking(
                sprintf('"%s" of what? The other amounts do not say how much the whole is.', $amount->text),
            );
    }

    private function areWhole(): bool
    {
        $sum = 0.0;
        $rests = false;
        foreach ($this->entries as $entry) {
            $sum += match ($entry->amount?->unit) {
                Amount::FRACTION => $entry->amount->count,
                '%' => $entry->amount->count / 100.0,
                default => 0.0,
            };
            $rests = $rests || $entry->amount?->unit === Amount::FILL;
        }

        return ($sum > self::FULL && $sum < 1.06) || ($rests && $sum < 1.0);
    }

    /**
     * Up to a level, where more is filled in after it, is what lies between that and what was there.
     *
     * @param  array<int, Entry>  $before those before it, settled
     */
    public function filled(Entry $entry, Amount $amount, array $before): Entry
    {
        $level = $this->level($amount);
        if ($level === null) {
            return $this->rest($entry, $amount);
        }
        $there = $this->whole->roomOf($before);
        $isLast = $this->whole->roomOf(array_slice($this->entries, count($before) + 1)) <= 0.0;
        $isFull = $level >= self::FULL * ($this->whole->holds() ?? 0.0);

        return match (true) {
            $isLast && $isFull && $amount->unit === Amount::FILL => $entry,
            $level <= $there => $entry->with(null)->asking('More than that is in it already. How much is meant?'),
            default => $entry->with(Amount::of(round($level - $there, 1), 'ml', $amount->from, $amount->to)),
        };
    }

    /** Where a level stands, ml; null where it is none, or nobody knows how much the vessel holds. */
    private function level(Amount $amount): ?float
    {
        $vessel = $this->whole->vessel();
        $holds = $vessel === null ? null : $this->whole->millilitres($vessel);

        return match ($amount->unit) {
            Amount::MARK => $amount->count,
            Amount::LEVEL => $holds === null ? null : $holds * $amount->count,
            default => preg_match('/^to make [\d.]+ (ml|l|fl oz|oz|cups)$/', $amount->text, $m) === 1
                ? $this->whole->millilitres($amount->is($amount->text, unit: $m[1]))
                : null,
        };
    }

    private function rest(Entry $entry, Amount $amount): Entry
    {
        $isFill = $amount->unit === Amount::FILL;
        $whole = $this->whole->size() ?? $this->whole->vessel();
        $isOpen = count($this->entries) > 1 && (! $isFill || (! $this->areShares() && $whole === null));

        return match (true) {
            $isFill && $amount->count > 0.0 => $entry,
            $isOpen => $entry->with($amount->is($isFill ? $amount->text : ''))->asking(
                'How much the whole is, is not said.',
            ),
            $whole === null || $this->areShares() => $entry,
            default => $entry->with($amount->is('to make '.$this->said($whole))),
        };
    }

    private function areShares(): bool
    {
        $holds = $this->whole->holds();

        return $this->isPercent || array_filter(
            $this->entries,
            static fn (Entry $e): bool => $e->amount?->unit === '%'
                || ($e->amount?->unit === Amount::FRACTION && $holds === null),
        ) !== [];
    }

    /** A size as AmountReader reads it: what is filled up in a vessel in millilitres. */
    private function said(Amount $whole): string
    {
        $isVolume = $this->whole->isHeld($whole) || ! in_array($whole->unit, ['g', 'kg', 'oz', 'lb'], true);
        $holds = $isVolume ? $this->whole->millilitres($whole) : null;

        return $holds === null
            ? Amount::figure($whole->count).' '.$whole->unit
            : Amount::figure(round($holds, 2)).' ml';
    }
}
