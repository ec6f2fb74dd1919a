<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Bottle;
use Crown\Catalogue\Correction;

/** What was bought and stands on the shelf. */
final readonly class Bought
{
    /**
     * @param  list<Correction>  $prices what was truly paid; of several for one thing the last counts
     * @param  array<string, Bottle>  $bottles out of which each thing comes next, by ingredient id
     */
    public function __construct(public array $prices, public array $bottles)
    {
    }
}
