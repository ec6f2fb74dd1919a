<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What grows in water. */
enum Microbes: string
{
    case Bacteria = 'bacteria';
    case Yeast = 'yeast';
    case Mould = 'mould';
}
