<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\FactSheet;

/** One form in which a plant comes: fresh, dried, cut, powder, seed. Its facts lie over those of the ingredient. */
final readonly class Form
{
    public function __construct(public string $name, public FactSheet $facts)
    {
    }
}
