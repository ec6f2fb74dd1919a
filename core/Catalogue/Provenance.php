<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Where an entry comes from, and which of its figures the studio put in place of the catalogue's. */
final readonly class Provenance
{
    /**
     * @param  list<Correction>  $corrections
     * @param  string  $withdrawn why it must not be used any more; "" while it may
     * @param  list<string>  $parents ids of what a steeped oil was made from
     */
    public function __construct(
        public Origin $origin = Origin::Reference,
        public array $corrections = [],
        public string $withdrawn = '',
        public array $parents = [],
    ) {
    }
}
