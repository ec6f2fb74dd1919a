<?php

declare(strict_types=1);

namespace Crown\Reading;

/** A name that was settled once: from then on it means this in the studio. */
final readonly class Settled
{
    /** Characters of a name that is remembered. */
    public const LONGEST = 120;

    /**
     * @param  string  $written as it stands in recipes
     * @param  string  $ingredient id
     * @param  string  $form fresh, dried, powder, or "" for the usual one
     */
    public function __construct(public string $written, public string $ingredient, public string $form = '')
    {
    }
}
