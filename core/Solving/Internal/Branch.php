<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

/** A part of the search: the bounds within it, and the best point of the linear programme there. */
final readonly class Branch
{
    /**
     * @param  list<float>  $lower
     * @param  list<float>  $upper
     * @param  list<int>  $kept candidates that are in it for good
     */
    public function __construct(public array $lower, public array $upper, public array $kept, public Solution $solution)
    {
    }
}
