<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** How well it is known that an ingredient serves a need. */
final readonly class Evidence
{
    /**
     * @param  int  $grade 4 established, 3 trials on people, 2 laboratory or animal, 1 traditional use, 0 no basis found
     * @param  string  $found one sentence: what was found, and on whom
     * @param  string  $source id in data/sources.json, or "tradition" or "estimate"
     */
    public function __construct(
        public Need $need,
        public int $grade,
        public string $found,
        public string $source,
    ) {
    }
}
