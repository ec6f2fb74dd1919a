<?php

declare(strict_types=1);

namespace Crown\Head;

/** How many strands stand on the scalp. */
enum Density: string
{
    case NotKnown = 'not-known';
    case Thin = 'thin';
    case Middling = 'middling';
    case Thick = 'thick';
}
