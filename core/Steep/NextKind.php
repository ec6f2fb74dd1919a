<?php

declare(strict_types=1);

namespace Crown\Steep;

/** What a jar needs next, by name. */
enum NextKind: string
{
    case Spoiled = 'spoiled';
    case Done = 'done';
    case Ready = 'ready';
    case Strain = 'strain';
    case StopShaking = 'stop-shaking';
    case Settling = 'settling';
    case Shake = 'shake';
    case Waiting = 'waiting';
}
