<?php

declare(strict_types=1);

namespace Crown\Steep;

/** How far a jar has come. */
enum JarState: string
{
    case Running = 'running';
    case Strained = 'strained';
    case Spoiled = 'spoiled';
}
