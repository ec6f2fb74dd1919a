<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Words\Message;

/** How thick one hair is: it sets the weight that suits it. */
enum Strand: string
{
    case Fine = 'fine';
    case Medium = 'medium';
    case Coarse = 'coarse';
    case NotKnown = 'not-known';

    public function words(): string
    {
        return $this === self::NotKnown ? Message::said('head.strand.strands-not-yet-known') : $this->value.' strands';
    }
}
