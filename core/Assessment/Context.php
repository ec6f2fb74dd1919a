<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Catalogue;
use Crown\Formula\Formula;
use Crown\Measure\Kitchen;

/**
 * What an assessment needs to know besides the formula: the catalogue, the maker's kitchen, and what her batches have
 * taught.
 */
final readonly class Context
{
    public Experience $experience;

    /** @param  Formula|null  $before the maker's own earlier version, to see what was forgotten since */
    public function __construct(
        public Catalogue $catalogue,
        public Kitchen $kitchen,
        ?Experience $experience = null,
        public ?Formula $before = null,
    ) {
        $this->experience = $experience ?? Experience::none();
    }

    public function comparedWith(?Formula $before): self
    {
        return new self($this->catalogue, $this->kitchen, $this->experience, $before);
    }

    /** The same without anything learned: what a finding on a batch is held against. */
    public function untaught(): self
    {
        return new self($this->catalogue, $this->kitchen);
    }
}
