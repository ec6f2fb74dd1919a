<?php

declare(strict_types=1);

namespace Crown\Head;

enum Strand: string
{
    case Fine = 'fine';
    case Medium = 'medium';
    case Coarse = 'coarse';
}
