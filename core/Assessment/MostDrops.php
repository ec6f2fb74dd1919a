<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** How many drops of a line every limit still allows. */
final readonly class MostDrops
{
    /**
     * @param  int|null  $drops null when there may be more than anybody counts, or it cannot be told
     * @param  string|null  $held what one drop more would break, or why it cannot be told; null for neither
     */
    public function __construct(public ?int $drops, public ?string $held)
    {
    }
}
