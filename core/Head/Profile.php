<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Condition;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Need;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Measure\Band;
use Crown\Words\Message;

/** A head of hair and its scalp, as far as it is known; only the name must be. Method page: docs/methods/fit.md. */
final readonly class Profile
{
    /**
     * @param  list<string>  $allergies allergen names or ingredient names
     * @param  list<Dislike>  $dislikes
     * @param  list<Need>  $wants what it is cared for, in the order of importance
     * @param  list<Condition>  $conditions with which some ingredients call for the clinician's word
     * @param  list<Sign>  $signs that a clinician should see first
     */
    public function __construct(
        public string $name,
        public Strand $strand = Strand::NotKnown,
        public Porosity $porosity = Porosity::NotKnown,
        public Scalp $scalp = Scalp::NotKnown,
        public AgeBand $age = AgeBand::NotKnown,
        public bool $pregnant = false,
        public array $allergies = [],
        public array $dislikes = [],
        public array $wants = [],
        public array $conditions = [],
        public array $signs = [],
        public Style $style = Style::NotKnown,
    ) {
    }

    /** A type of hair that is nobody's in particular. */
    public static function hairType(Strand $strand, Porosity $porosity): self
    {
        return new self('this hair', $strand, $porosity);
    }

    /**
     * The weight index that suits: fine 1.5 to 2.6, medium 2.2 to 3.4, coarse 2.8 to 4.4; low porosity -0.3, high +0.3;
     * on the scalp -0.4. What is not known widens it to all that may suit.
     */
    public function weightTarget(bool $onScalp): Band
    {
        [$low, $high] = match ($this->strand) {
            Strand::Fine => [1.5, 2.6],
            Strand::Medium => [2.2, 3.4],
            Strand::Coarse => [2.8, 4.4],
            Strand::NotKnown => [1.5, 4.4],
        };
        [$down, $up] = match ($this->porosity) {
            Porosity::Low => [-0.3, -0.3],
            Porosity::Normal => [0.0, 0.0],
            Porosity::High => [0.3, 0.3],
            Porosity::NotKnown => [-0.3, 0.3],
        };
        $scalp = $onScalp ? 0.4 : 0.0;
        [$low, $high] = [$low + $down - $scalp, $high + $up - $scalp];

        return Band::of($low, ($low + $high) / 2, $high);
    }

    /**
     * How heavy single ingredients may be that are looked for with this hair in mind: what suits its lengths, and all
     * there is while nothing is known of it.
     */
    public function heavinessSought(): Band
    {
        $known = $this->strand !== Strand::NotKnown || $this->porosity !== Porosity::NotKnown;

        return $known ? $this->weightTarget(false)->atLeast(1.0)->atMost(5.0) : Band::of(1.0, 3.0, 5.0);
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

    /**
     * Signs that come before any formula, in words.
     *
     * @return list<string> none when there are none
     */
    public function redFlags(): array
    {
        $flags = array_map(static fn (Sign $s): string => $s->label(), $this->signs);

        return $this->scalp->needsClinician() && $flags === []
            ? [Message::said('head.profile.sores-pain-bare-patch')]
            : $flags;
    }

    /** @return list<Need> what it is cared for: as wanted, then what its scalp and style ask for, each once */
    public function needs(): array
    {
        $needs = [];
        foreach ([...$this->wants, ...$this->scalp->needs(), ...$this->style->needs()] as $need) {
            $needs[$need->value] = $need;
        }

        return array_values($needs);
    }
}
