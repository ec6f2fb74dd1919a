<?php

declare(strict_types=1);

namespace Crown\Head;

/** How thick one hair is: it sets the weight that suits it. */
enum Strand: string
{
    case Fine = 'fine';
    case Medium = 'medium';
    case Coarse = 'coarse';
    case NotKnown = 'not-known';

    public function words(): string
    {
        return $this === self::NotKnown ? 'strands not yet known' : $this->value.' strands';
    }
}
