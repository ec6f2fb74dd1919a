<?php

declare(strict_types=1);

namespace App\Catalogue;

/** What stands in a studio and may be used. */
interface KnowsStock
{
    /** @return array<string, float|null> grams at hand by ingredient id; null where nobody said how much */
    public function grams(): array;
}
