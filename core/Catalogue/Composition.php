<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;
use Crown\Measure\Fact;

/** What an ingredient is made of: its fats, what its scent is, what it dissolves in, and the water it brings. */
final readonly class Composition
{
    /**
     * @param  array<string, Fact>  $constituents per cent, keyed by name (essential oils and steeps that bear them)
     * @param  Band|null  $water fraction of its mass that a steep may have left in it, 0 to 1; null for none
     * @param  bool  $drying whether it hardens in air, as linseed does
     * @param  bool  $emulsifies whether it binds water into oil or oil into water
     * @param  bool  $solubilises whether it takes a little scent up into water
     */
    public function __construct(
        public FattyAcids $fattyAcids,
        public SolidFat $solidFat,
        public array $constituents = [],
        public Solubility $solubility = Solubility::Oil,
        public ?Band $water = null,
        public bool $drying = false,
        public bool $emulsifies = false,
        public bool $solubilises = false,
    ) {
    }
}
