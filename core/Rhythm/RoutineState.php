<?php

declare(strict_types=1);

namespace Crown\Rhythm;

/** How far a routine has come. */
enum RoutineState: string
{
    /** The patch test is not read yet: nothing is applied. */
    case Patch = 'patch';
    case Running = 'running';
    /** The skin reacted: nothing is applied any more. */
    case Stopped = 'stopped';
}
