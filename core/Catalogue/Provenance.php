<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Where an entry comes from, and which of its figures the studio put in place of the catalogue's. */
final readonly class Provenance
{
    /** @param  list<Correction>  $corrections */
    public function __construct(
        public Origin $origin = Origin::Reference,
        public array $corrections = [],
    ) {
    }
}
