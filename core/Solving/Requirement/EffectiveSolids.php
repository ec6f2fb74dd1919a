<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Assessment\Eutectic;
use Crown\Catalogue\MixturePart;
use Crown\Measure\Number;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Internal\Programme;

/**
 * What is solid of it at a temperature, weighed by how much structure it gives, per cent (docs/methods/texture.md). The
 * programme adds it up; that some fats soften each other comes in as a factor, found in rounds (Internal\Softening).
 */
final readonly class EffectiveSolids extends Sum
{
    /** Where nothing else is said: a warm room, °C. */
    public const USUAL_CELSIUS = 25.0;

    /** @param  float  $softer by what the solids of fats that soften each other are multiplied; 1 when they do not */
    public function __construct(
        Between $between,
        public float $celsius = self::USUAL_CELSIUS,
        private float $softer = 1.0,
    ) {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'solids';
    }

    /** The same for a blend whose fats soften each other by a factor. */
    public function softened(float $by): self
    {
        return new self($this->between, $this->celsius, $by);
    }

    /** @param  list<MixturePart>  $parts in any unit */
    public function factorOf(array $parts): float
    {
        return Eutectic::of($parts)->factor($this->celsius)->best;
    }

    public function reached(Programme $programme, array $x): float
    {
        $parts = [];
        foreach ($programme->candidates as $j => $candidate) {
            $parts[] = new MixturePart($candidate->ingredient, $x[$j]);
        }
        $true = $this->softened($this->factorOf($parts));
        $sum = 0.0;
        foreach ($programme->candidates as $j => $candidate) {
            $sum += $true->perPercent($candidate) * $x[$j];
        }

        return $sum;
    }

    protected function perPercent(Candidate $candidate): float
    {
        $fat = $candidate->ingredient->composition->solidFat;
        $softer = Eutectic::concerns($candidate->ingredient) ? $this->softer : 1.0;

        return ($fat->at($this->celsius) * $fat->structure * $candidate->firmness * $softer) / 100;
    }

    public function words(): string
    {
        return sprintf('effective solids at %s °C %s %%', Number::shown($this->celsius), $this->between->words());
    }
}
