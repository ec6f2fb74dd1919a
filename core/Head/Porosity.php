<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Words\Message;

/** How readily the hair takes up water: it moves the weight that suits it. */
enum Porosity: string
{
    case Low = 'low';
    case Normal = 'normal';
    case High = 'high';
    case NotKnown = 'not-known';

    public function words(): string
    {
        return Message::said('head.porosity', ['porosity' => $this === self::NotKnown ? 'none' : $this->value]);
    }
}
