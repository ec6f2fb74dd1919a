<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What a preservative or antioxidant can do; its range of use and pH are facts of the ingredient. */
final readonly class Preservation
{
    /**
     * @param  list<LegalLimit>  $law none or one
     * @param  list<Microbes>  $against what it holds down in its range of use; all for a broad-spectrum one
     */
    public function __construct(
        public PreservationKind $kind = PreservationKind::None,
        public Solubility $solubility = Solubility::Water,
        public array $law = [],
        public array $against = [],
    ) {
    }
}
