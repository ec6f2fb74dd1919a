<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** One thing to beware of in an ingredient, in a sentence for the one who uses it. */
final readonly class Caution
{
    public function __construct(public CautionKind $kind, public string $says)
    {
    }
}
