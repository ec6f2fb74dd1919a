<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** What the lines of a formula bring of one constituent together, at worst. */
final readonly class ConstituentSum
{
    /**
     * @param  float  $ofLimit as a part of what is allowed; over 1 is too much
     * @param  list<Portion>  $bearers
     */
    public function __construct(public float $ofLimit, public array $bearers)
    {
    }
}
