<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Figures that one part gives and the names that another has: "3:2:1 blend" over "grapeseed : castor : argan". */
final class Pairs
{
    /**
     * Figures belong to the names of the part beside them, where there are as many.
     *
     * @param  list<Part>  $parts
     * @return array<int, array{list<Amount>, bool}> by the number of the part that has the names, and whether other
     *     figures stand there too, of which the last are taken
     */
    public static function in(array $parts): array
    {
        $pairs = [];
        foreach ($parts as $n => $part) {
            foreach ($part->sentence->cover->asides(Aside::FIGURES) as $aside) {
                foreach ([$n, $n + 1, $n - 1, $n - 2] as $beside) {
                    $other = $parts[$beside] ?? null;
                    if ($other !== null && count($other->sentence->unmeasured()) === count($aside->amounts)) {
                        $pairs[$beside] = [$aside->amounts, isset($pairs[$beside])];

                        break;
                    }
                }
            }
        }

        return $pairs;
    }
}
