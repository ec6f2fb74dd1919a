<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Candidate;
use Crown\Words\Message;

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
        return Message::said('solving.cost-of-hundred-grams.costs-g', ['between' => $this->between->words()]);
    }
}
