<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Catalogue;
use Crown\Formula\Learned\Learned;
use Crown\Measure\Kitchen;

/**
 * What an assessment needs to know besides the formula: the catalogue, the maker's kitchen, and what her batches have
 * taught.
 */
final readonly class Context
{
    public Learned $learned;

    /** @param  Formula|null  $before the maker's own earlier version, to see what was forgotten since */
    public function __construct(
        public Catalogue $catalogue,
        public Kitchen $kitchen,
        ?Learned $learned = null,
        public ?Formula $before = null,
    ) {
        $this->learned = $learned ?? Learned::nothing();
    }

    public function comparedWith(?Formula $before): self
    {
        return new self($this->catalogue, $this->kitchen, $this->learned, $before);
    }

    /** The same without anything learned: what a finding on a batch is held against. */
    public function untaught(): self
    {
        return new self($this->catalogue, $this->kitchen);
    }
}
