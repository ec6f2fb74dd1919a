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

    /**
     * In the order in which they are to be used: first to expire first; what has no date after it, the elder first.
     *
     * @param  list<self>  $lots
     * @param  int|null  $chosen the lot that comes before all others
     * @return list<self>
     */
    public static function inOrder(array $lots, ?int $chosen = null): array
    {
        usort($lots, static fn (self $a, self $b): int => [
            $a->lot === $chosen ? '' : $a->useBy ?? '9999-12-31',
            $a->lot,
        ] <=> [$b->lot === $chosen ? '' : $b->useBy ?? '9999-12-31', $b->lot]);

        return $lots;
    }
}
