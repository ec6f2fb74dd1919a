<?php

declare(strict_types=1);

namespace Crown\Steep;

enum JarState: string
{
    case Running = 'running';
    case Strained = 'strained';
    case Spoiled = 'spoiled';
}
