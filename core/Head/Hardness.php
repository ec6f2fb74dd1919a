<?php

declare(strict_types=1);

namespace Crown\Head;

/** Hardness of the water it is washed with. */
enum Hardness: string
{
    case NotKnown = 'not-known';
    case Soft = 'soft';
    case Hard = 'hard';
}
