<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Candidate;

/** All essential oils together, per cent of the whole (docs/methods/load.md). */
final readonly class EssentialOilLoad extends Sum
{
    public function kind(): string
    {
        return 'load';
    }

    protected function perPercent(Candidate $candidate): float
    {
        return $candidate->ingredient->essentialShare();
    }

    public function words(): string
    {
        return sprintf('essential oils %s %%', $this->between->words());
    }
}
