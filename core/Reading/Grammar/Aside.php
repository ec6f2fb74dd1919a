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

    /** What the amounts are said to come to: "= 92 g". */
    public const SUM = 'sum';

    /** For how much of the whole the rest is said: "per 30 ml". */
    public const PER = 'per';

    /** What the scale showed with nothing but the vessel on it. */
    public const TARE = 'tare';

    /** Who wrote it, and when. */
    public const SPOKEN = 'spoken';

    /** Amounts of what another sentence names. */
    public const FIGURES = 'figures';

    /**
     * @param  string  $says one of the above, or ""
     * @param  list<Amount>  $amounts of what another sentence names
     */
    public function __construct(
        public Fate $fate,
        public string $says = '',
        public ?Amount $amount = null,
        public array $amounts = [],
    ) {
    }
}
