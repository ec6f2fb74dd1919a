<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Assessment\BlendedFats;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\MixturePart;
use Crown\Measure\Number;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Internal\Programme;
use Crown\Words\Message;

/**
 * What is solid of it at a temperature, weighed by how much structure it gives, per cent (docs/methods/texture.md). The
 * programme adds it up as it is near a blend; which blend that is is found in rounds (Internal\Softening).
 */
final readonly class EffectiveSolids extends Sum
{
    /** Where nothing else is said: a warm room, °C. */
    public const USUAL_CELSIUS = 25.0;

    /** Step of the slopes, per cent of the whole. */
    private const STEP = 1e-3;

    /** @param  array<string, float>  $slopes what one per cent of each adds to a blend, by id; none: as it is alone */
    public function __construct(
        Between $between,
        public float $celsius = self::USUAL_CELSIUS,
        private array $slopes = [],
    ) {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'solids';
    }

    /**
     * The same as it is near a blend: by how much one per cent more of each would change it there. The solids of a
     * blend grow with its size, so that the slopes times the shares are what it has.
     *
     * @param  list<Candidate>  $candidates
     * @param  list<float>  $x their shares, per cent
     */
    public function near(array $candidates, array $x): self
    {
        $here = $this->solids($candidates, $x);
        $slopes = [];
        foreach ($candidates as $j => $candidate) {
            $more = array_values(array_replace($x, [$j => $x[$j] + self::STEP]));
            $slopes[$candidate->ingredient->id] = ($this->solids($candidates, $more) - $here) / self::STEP;
        }

        return new self($this->between, $this->celsius, $slopes);
    }

    /** The same with other bounds. */
    public function within(Between $between): self
    {
        return new self($between, $this->celsius, $this->slopes);
    }

    public function reached(Programme $programme, array $x): float
    {
        return $this->solids($programme->candidates, $x);
    }

    protected function perPercent(Candidate $candidate): float
    {
        $fat = $candidate->ingredient->composition->solidFat;

        return $this->slopes[$candidate->ingredient->id]
            ?? ($fat->at($this->celsius) * $fat->structure * $candidate->firmness) / 100;
    }

    public function words(): string
    {
        return Message::said('solving.effective-solids.effective-solids-c', [
            'celsius' => Number::shown($this->celsius),
            'between' => $this->between->words(),
        ]);
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<float>  $x their shares, per cent
     */
    private function solids(array $candidates, array $x): float
    {
        $parts = $firmness = [];
        foreach ($candidates as $j => $candidate) {
            if ($x[$j] > 0.0) {
                $parts[] = new MixturePart($candidate->ingredient, $x[$j]);
                $firmness[] = $candidate->firmness;
            }
        }
        $fats = array_map(static fn (MixturePart $p): Ingredient => $p->ingredient, $parts);
        $solids = 0.0;
        foreach (BlendedFats::of($parts)->given($fats, $this->celsius) as $i => $given) {
            $solids += ($given->best * $parts[$i]->amount * $firmness[$i]) / 100;
        }

        return $solids;
    }
}
