<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Candidate;

/** Money for 100 g of it. */
final readonly class CostOfHundredGrams extends Sum
{
    public function kind(): string
    {
        return 'cost';
    }

    protected function perPercent(Candidate $candidate): float
    {
        return $candidate->supply->price ?? 0.0;
    }

    public function words(): string
    {
        return sprintf('costs %s for 100 g', $this->between->words());
    }
}
