<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Measure\Number;
use Crown\Solving\Between;
use Crown\Solving\Candidate;

/** What is solid of it at a temperature, weighed by how much structure it gives, per cent (docs/methods/texture.md). */
final readonly class EffectiveSolids extends Sum
{
    /** Where nothing else is said: a warm room, °C. */
    public const USUAL_CELSIUS = 25.0;

    public function __construct(Between $between, public float $celsius = self::USUAL_CELSIUS)
    {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'solids';
    }

    protected function perPercent(Candidate $candidate): float
    {
        $fat = $candidate->ingredient->composition->solidFat;

        return ($fat->at($this->celsius) * $fat->structure * $candidate->firmness) / 100;
    }

    public function words(): string
    {
        return sprintf('effective solids at %s °C %s %%', Number::shown($this->celsius), $this->between->words());
    }
}
