<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use DateTimeImmutable;

/** The bottle out of which something comes that stands on a shelf: what is on it ends what is made of it. */
final readonly class Bottle
{
    /**
     * @param  DateTimeImmutable|null  $useBy null where nothing tells
     * @param  bool  $past whether that day has gone, and no other bottle of it stands there
     */
    public function __construct(public ?DateTimeImmutable $useBy, public bool $past = false)
    {
    }
}
