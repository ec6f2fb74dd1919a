<?php

declare(strict_types=1);

namespace Crown\Pantry;

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
     * grams count alone. Exact: every pack is tried in every number, and what costs more already is not gone on with.
     *
     * @param  list<self>  $packs
     * @return list<array{count: int, pack: self}> none where there are no packs
     */
    public static function cheapest(array $packs, float $grams): array
    {
        $priced = array_values(array_filter($packs, static fn (self $p): bool => $p->cost !== null));
        $of = $priced === [] ? $packs : $priced;
        usort($of, static fn (self $a, self $b): int => $b->grams <=> $a->grams);
        $best = [];
        $worth = [INF, INF];
        self::tried($of, $grams, [0.0, 0.0], [], $best, $worth);

        return $best;
    }

    /**
     * @param  list<self>  $packs still to be tried
     * @param  float  $missing grams
     * @param  array{float, float}  $so money and grams so far
     * @param  list<array{count: int, pack: self}>  $taken
     * @param  list<array{count: int, pack: self}>  $best
     * @param  array{float, float}  $worth money and grams of the best
     */
    private static function tried(
        array $packs,
        float $missing,
        array $so,
        array $taken,
        array &$best,
        array &$worth,
    ): void {
        if ($missing <= 1e-9) {
            if ($so < $worth) {
                [$best, $worth] = [$taken, $so];
            }

            return;
        }
        $pack = array_shift($packs);
        if ($pack === null || $so >= $worth) {
            return;
        }
        for ($count = (int) ceil($missing / $pack->grams - 1e-9); $count >= 0; $count--) {
            self::tried(
                $packs,
                $missing - $count * $pack->grams,
                [$so[0] + $count * ($pack->cost ?? 0.0), $so[1] + $count * $pack->grams],
                $count === 0 ? $taken : [...$taken, ['count' => $count, 'pack' => $pack]],
                $best,
                $worth,
            );
        }
    }
}
