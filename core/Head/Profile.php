<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Measure\Band;

/** A head of hair and its scalp, as far as it is known. Method page: docs/methods/fit.md. */
final readonly class Profile
{
    /**
     * @param  list<string>  $allergies allergen names or ingredient names
     * @param  list<string>  $dislikes ingredient names
     */
    public function __construct(
        public string $name,
        public Strand $strand,
        public Porosity $porosity,
        public Scalp $scalp,
        public AgeBand $age,
        public bool $pregnant,
        public array $allergies,
        public array $dislikes,
    ) {
    }

    /**
     * The weight index that suits: fine 1.5 to 2.6, medium 2.2 to 3.4, coarse 2.8 to 4.4; low porosity -0.3, high +0.3;
     * on the scalp -0.4.
     */
    public function weightTarget(bool $onScalp): Band
    {
        [$low, $high] = match ($this->strand) {
            Strand::Fine => [1.5, 2.6],
            Strand::Medium => [2.2, 3.4],
            Strand::Coarse => [2.8, 4.4],
        };
        $shift = match ($this->porosity) {
            Porosity::Low => -0.3,
            Porosity::Normal => 0.0,
            Porosity::High => 0.3,
        } - ($onScalp ? 0.4 : 0.0);

        return Band::of($low + $shift, ($low + $high) / 2 + $shift, $high + $shift);
    }

    /** The audience for this head: the child's age band first, then pregnancy, else the formula's own. */
    public function audience(Audience $otherwise): Audience
    {
        $byAge = $this->age->audience($otherwise);

        return $byAge === $otherwise && $this->pregnant ? Audience::Pregnancy : $byAge;
    }

    /** The formula as it is judged for this head: under the limits that its age and pregnancy set. */
    public function judging(Formula $formula): Formula
    {
        return $formula->withAudience($this->audience($formula->audience));
    }
}
