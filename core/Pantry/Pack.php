<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Solving\WholeNumbers;

/** A size in which something is sold, as it was bought before. */
final readonly class Pack
{
    /**
     * @param  float  $grams more than 0
     * @param  float|null  $cost null where nobody said
     */
    public function __construct(public float $grams, public ?float $cost)
    {
    }

    /**
     * The cheapest packs that come to so much; of equals, the fewest grams. Where a price is not known, the fewest
     * grams count alone.
     *
     * @param  list<self>  $packs
     * @return list<array{count: int, pack: self}> the largest first; none where there are no packs
     */
    public static function cheapest(array $packs, float $grams): array
    {
        $priced = array_values(array_filter($packs, static fn (self $p): bool => $p->cost !== null));
        $of = $priced === [] ? array_values($packs) : $priced;
        if ($of === []) {
            return [];
        }
        usort($of, static fn (self $a, self $b): int => $b->grams <=> $a->grams);
        $counts = WholeNumbers::covering(
            array_map(static fn (self $p): float => $p->grams, $of),
            array_map(static fn (self $p): float => $p->cost ?? 0.0, $of),
            $grams,
        );
        $bought = [];
        foreach ($counts as $n => $count) {
            if ($count > 0) {
                $bought[] = ['count' => $count, 'pack' => $of[$n]];
            }
        }

        return $bought;
    }
}
