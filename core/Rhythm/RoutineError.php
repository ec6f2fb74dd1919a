<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Problem;

/** A routine that cannot be. */
final class RoutineError extends Problem
{
}
