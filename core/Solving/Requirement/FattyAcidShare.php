<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Between;
use Crown\Solving\Candidate;

/** Saturated, monounsaturated or polyunsaturated fat, per cent of the whole. */
final readonly class FattyAcidShare extends Sum
{
    public function __construct(Between $between, private Saturation $saturation)
    {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return $this->saturation->value;
    }

    protected function perPercent(Candidate $candidate): float
    {
        $acids = $candidate->ingredient->composition->fattyAcids;

        return match ($this->saturation) {
            Saturation::Saturated => $acids->saturated(),
            Saturation::Mono => $acids->monounsaturated(),
            Saturation::Poly => $acids->polyunsaturated(),
        } / 100;
    }

    public function words(): string
    {
        return sprintf('%s fat %s %%', $this->saturation->value, $this->between->words());
    }
}
