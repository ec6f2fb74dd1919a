<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Correction;
use Crown\Catalogue\Making;
use Crown\Reading\OwnOil;

/** What a studio has made itself and can put into a formula as an ingredient. */
interface BringsOils
{
    /**
     * In the order in which they were made.
     *
     * @param  list<Correction>  $corrections the studio's own figures, which hold for these as well
     * @return list<Making>
     */
    public function oils(array $corrections): array;

    /** @return list<OwnOil> the same by what people may call them: what may still be used, and what still stands */
    public function own(): array;
}
