<?php

declare(strict_types=1);

namespace Crown\Json;

use Crown\Problem;

/** A document that is not as it should be. */
final class JsonError extends Problem
{
}
