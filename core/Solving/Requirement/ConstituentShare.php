<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Between;
use Crown\Solving\Candidate;

/** A constituent of its oils, per cent of the whole, at the high end of what they hold (docs/methods/load.md). */
final readonly class ConstituentShare extends Sum
{
    public function __construct(Between $between, private string $constituent)
    {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'constituent';
    }

    public function of(): string
    {
        return $this->constituent;
    }

    protected function perPercent(Candidate $candidate): float
    {
        // What a whole plant holds stays in it.
        return $candidate->ingredient->kind->isPlant()
            ? 0.0
            : ($candidate->ingredient->composition->constituents[$this->constituent]->band->high ?? 0.0) / 100;
    }

    public function words(): string
    {
        return sprintf('%s %s %%', $this->constituent, $this->between->words());
    }
}
