<?php

declare(strict_types=1);

namespace Crown\Head;

/** How readily the hair takes up water: it moves the weight that suits it. */
enum Porosity: string
{
    case Low = 'low';
    case Normal = 'normal';
    case High = 'high';
    case NotKnown = 'not-known';

    public function words(): string
    {
        return $this === self::NotKnown ? 'porosity not yet known' : $this->value.' porosity';
    }
}
