<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** The way in which something was studied. What was eaten or tried on cells says little of what is rubbed in. */
enum Route: string
{
    case Applied = 'applied';
    case Eaten = 'eaten';
    case Laboratory = 'laboratory';
}
