<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Correction;

/** What a studio paid for what stands on its shelf. */
interface KnowsPrices
{
    /** @return list<Correction> money for a kilogram, of what is used next */
    public function prices(): array;
}
