<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Where an entry comes from. */
enum Origin: string
{
    case Reference = 'reference';
    /** The studio wrote it. */
    case Own = 'own';
    /** An oil that was steeped here. */
    case Steeped = 'steeped';
}
