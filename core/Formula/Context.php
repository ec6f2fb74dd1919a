<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Catalogue;
use Crown\Measure\Kitchen;

/** What an assessment needs to know besides the formula: the catalogue and what the maker measures with. */
final readonly class Context
{
    public function __construct(
        public Catalogue $catalogue,
        public Kitchen $kitchen,
    ) {
    }
}
