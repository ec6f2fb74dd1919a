<?php

declare(strict_types=1);

namespace Crown\Head;

enum Porosity: string
{
    case Low = 'low';
    case Normal = 'normal';
    case High = 'high';
}
