<?php

declare(strict_types=1);

namespace Crown\Measure;

/** What is chosen of a thing of the kit: one of a few words, the first where nobody chose. */
final readonly class KitChoice
{
    /** @param  non-empty-list<string>  $allowed */
    public function __construct(public string $label, public array $allowed)
    {
    }
}
