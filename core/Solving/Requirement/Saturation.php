<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

/** How many double bonds a fatty acid has: none, one, or more. */
enum Saturation: string
{
    case Saturated = 'saturated';
    case Mono = 'monounsaturated';
    case Poly = 'polyunsaturated';
}
