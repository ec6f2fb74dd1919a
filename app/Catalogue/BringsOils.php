<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;

/** What a studio has made itself and can put into a formula as an ingredient. */
interface BringsOils
{
    /**
     * Name and maker by id, in the order in which they were made: each is made when it is asked for.
     *
     * @param  list<Correction>  $corrections the studio's own figures, which hold for these as well
     * @return array<string, array{string, callable(Catalogue): Ingredient}>
     */
    public function oils(array $corrections): array;
}
