<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Problem;

/** Something of the pantry that cannot be. */
final class PantryError extends Problem
{
}
