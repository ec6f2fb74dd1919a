<?php

declare(strict_types=1);

namespace App\Catalogue;

/** What stands in the studio and may be used: what was bought, and the oils that were steeped here. */
final class StudioStock
{
    /** @param  list<KnowsStock>  $stocks in the order in which they are looked through */
    public function __construct(private readonly array $stocks)
    {
    }

    /** @return array<string, float|null> grams at hand by ingredient id; null where nobody said how much */
    public function grams(): array
    {
        return array_merge(...array_map(static fn (KnowsStock $stock): array => $stock->grams(), $this->stocks));
    }

    /** @return list<string> ids of what is at hand */
    public function ids(): array
    {
        return array_keys($this->grams());
    }
}
