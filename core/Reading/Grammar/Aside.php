<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Reading\Fate;

/** Words that say something about the recipe: a time, a price, the size of a bottle. */
final readonly class Aside
{
    /** The size of what it is filled into; how much of it there is; the unit of all figures. */
    public const VESSEL = 'vessel';

    public const WHOLE = 'whole';

    public const UNIT = 'unit';

    /** For how much of the whole the rest is said: "per 30 ml". */
    public const PER = 'per';

    /** @param  string  $says one of the above, or "" */
    public function __construct(public Fate $fate, public string $says = '', public ?Amount $amount = null)
    {
    }
}
