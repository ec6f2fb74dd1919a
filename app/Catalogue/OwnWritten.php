<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;

/** The ingredients that a studio wrote down itself. */
final readonly class OwnWritten
{
    /**
     * @param  list<Ingredient>  $single each one thing
     * @param  list<Making>  $blends of several, that may have been written or steeped here too
     */
    public function __construct(public array $single, public array $blends)
    {
    }
}
