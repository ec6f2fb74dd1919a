<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** One lot as something is taken from it: what is thought to be left. */
final readonly class Held
{
    /**
     * @param  float|null  $left grams, at least 0; null while nobody knows
     * @param  string|null  $useBy a day as 2026-11-27; null where nothing tells
     */
    public function __construct(public int $lot, public ?float $left, public ?string $useBy = null)
    {
    }

    /** @param  string  $on a day as 2026-11-27 */
    public function isPast(string $on): bool
    {
        return $this->useBy !== null && $this->useBy < $on;
    }

    /**
     * In the order in which they are to be used: first to expire first; what has no date after it, the elder first; and
     * what is past its day last of all.
     *
     * @param  list<self>  $lots
     * @param  int|null  $chosen the lot that comes before all others
     * @param  string|null  $on the day on which it is taken, as 2026-11-27; null where that does not matter
     * @return list<self>
     */
    public static function inOrder(array $lots, ?int $chosen = null, ?string $on = null): array
    {
        $rank = static fn (self $held): array => [
            $held->lot !== $chosen,
            $on !== null && $held->isPast($on),
            $held->useBy ?? '9999-12-31',
            $held->lot,
        ];
        usort($lots, static fn (self $a, self $b): int => $rank($a) <=> $rank($b));

        return $lots;
    }
}
