<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;

/** One thing of a ready blend, and how much of the blend it is. */
final readonly class Part
{
    /** @param  Band  $share fraction of the blend, 0 to 1; wide where the supplier does not say */
    public function __construct(public Ingredient $ingredient, public Band $share)
    {
    }

    /**
     * The most that a sum of share x something can be over the parts of one blend, whose shares come to one.
     *
     * @param  list<self>  $parts
     * @param  callable(Ingredient): float  $of
     */
    public static function most(array $parts, callable $of): float
    {
        $worth = array_map(static fn (self $p): float => $of($p->ingredient), $parts);
        arsort($worth);
        $sum = 0.0;
        $left = 1.0;
        foreach ($parts as $n => $part) {
            $sum += $part->share->low * $worth[$n];
            $left -= $part->share->low;
        }
        // What nobody knows is all of it where it counts for most.
        foreach ($worth as $n => $each) {
            $more = max(0.0, min($left, $parts[$n]->share->high - $parts[$n]->share->low));
            $sum += $more * $each;
            $left -= $more;
        }

        return $sum;
    }

    /**
     * The least that it can be.
     *
     * @param  list<self>  $parts
     * @param  callable(Ingredient): float  $of
     */
    public static function least(array $parts, callable $of): float
    {
        return -self::most($parts, static fn (Ingredient $i): float => -$of($i));
    }
}
