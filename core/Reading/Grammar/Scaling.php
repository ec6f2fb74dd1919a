<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Amounts that hang on how much there is of it all: parts of so much, drops for every so much. */
final readonly class Scaling
{
    /** How many times the sum of parts the whole is at least where their unit is not said. */
    private const SMALL = 3.0;

    public function __construct(private Whole $whole, private Grammar $grammar)
    {
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    public function settled(array $entries): array
    {
        return $this->sized($this->forEvery($entries));
    }

    /**
     * Parts of a whole of known size as so much of it: "3:1 shea and olive, makes 200 g". Per cents stay such, unless
     * something beside them has an amount of its own.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function sized(array $entries): array
    {
        $unit = $this->isAllIn('%', $entries) ? '%' : 'parts';
        $shares = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === $unit);
        $guessed = array_filter($shares, static fn (Entry $e): bool => $e->doubt !== '');
        $sum = self::sum($shares);
        $size = $unit === 'parts' ? $this->leftBySharesOf($entries) : $this->size();
        // Figures without a unit that are nearly as large as the whole are rather in its unit.
        $isOpen = $size !== null && $guessed !== [] && $sum * self::SMALL > $size[0];
        if ($size === null || $sum <= 0.0 || $isOpen || $this->isMeasured($entries)) {
            return $entries;
        }
        [$much, $of] = $size;

        return array_map(static fn (Entry $e): Entry => $e->amount?->unit !== $unit ? $e : $e->with(
            Amount::of(round($much * $e->amount->count / $sum, 2), $of, $e->amount->from, $e->amount->to),
        ), $entries);
    }

    /**
     * How much parts are of: of 200 g what per cents beside them leave.
     *
     * @param  list<Entry>  $entries
     * @return array{float, string}|null
     */
    private function leftBySharesOf(array $entries): ?array
    {
        $taken = self::sum(array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === '%'));
        $size = $this->size();

        return $size === null || $taken >= 100.0 ? $size : [$size[0] * (1.0 - $taken / 100.0), $size[1]];
    }

    /**
     * Whether shares come to a hundred, and something stands beside them.
     *
     * @param  list<Entry>  $entries
     */
    private function isAllIn(string $unit, array $entries): bool
    {
        $shares = array_filter($entries, static fn (Entry $e): bool => $e->amount?->unit === $unit);
        $sum = self::sum($shares);

        return count($shares) < count($entries) && $sum >= Units::HUNDRED[0] && $sum <= Units::HUNDRED[1];
    }

    /**
     * Whether some main amount is one of its own.
     *
     * @param  list<Entry>  $entries
     */
    private function isMeasured(array $entries): bool
    {
        $main = [...Amount::SIZES, 'cups', 'tbsp', Amount::FILL];

        return array_filter($entries, static fn (Entry $e): bool => in_array($e->amount?->unit, $main, true)) !== [];
    }

    /** @return array{float, string}|null how much there is of it, and in what; null where it is not said */
    private function size(): ?array
    {
        $whole = $this->whole->anySize();
        if ($whole === null || ! in_array($whole->unit, Amount::SIZES, true)) {
            return null;
        }
        $isMass = in_array($whole->unit, ['g', 'kg'], true) && ! $this->whole->isHeld($whole);
        $ml = $isMass ? null : $this->whole->millilitres($whole);

        return $ml === null ? [$whole->count, $whole->unit] : [$ml, 'ml'];
    }

    /** @param  array<int, Entry>  $entries */
    private static function sum(array $entries): float
    {
        return array_sum(array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $entries));
    }

    /**
     * What is said of so much of the whole as an amount of all of it. A recipe in parts or shares is made of just that
     * much.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private function forEvery(array $entries): array
    {
        $per = array_values(array_filter(array_map(static fn (Entry $e): ?Amount => $e->per, $entries)))[0] ?? null;
        $base = array_filter($entries, static fn (Entry $e): bool => $e->per === null && $e->amount !== null);
        // "Per 100 g: shea 55, …" is all of it, and no more.
        if ($per === null || $base === []) {
            return $entries;
        }
        $units = array_unique(array_map(static fn (Entry $e): string => $e->amount->unit ?? '', $base));
        $isShares = count($units) === 1 && in_array(reset($units), ['parts', '%'], true);
        $poured = array_filter($base, fn (Entry $e): bool => ! $this->grammar->isPlant($e->name()));
        $total = $this->whole->roomOf($poured);
        $isKnown = $this->whole->room($per) > 0.0 && self::sum($base) > 0.0 && ($isShares || $total > 1.0);

        return array_map(fn (Entry $e): Entry => match (true) {
            $isKnown && $isShares => $this->share($e, $per, self::sum($base)),
            $e->per === null || $e->amount === null => $e,
            $isKnown => $this->times($e, $e->amount, $total / $this->whole->room($e->per)),
            default => $e->asking('For how much of the whole it is, cannot be told.'),
        }, $entries);
    }

    /** What has a share, of so much. */
    private function share(Entry $entry, Amount $per, float $sum): Entry
    {
        $amount = $entry->amount;
        $isMass = in_array($per->unit, ['g', 'kg', 'oz'], true);
        $much = $this->whole->room($per) * ($isMass ? Whole::OIL : 1.0);

        return $entry->per !== null || $amount === null ? $entry : $entry->with(
            Amount::of(round($much * $amount->count / $sum, 2), $isMass ? 'g' : 'ml', $amount->from, $amount->to),
        );
    }

    private function times(Entry $entry, Amount $amount, float $times): Entry
    {
        return $entry->with(Amount::of(round($amount->count * $times, 1), $amount->unit, $amount->from, $amount->to));
    }
}
