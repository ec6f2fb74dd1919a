<?php

declare(strict_types=1);

namespace Crown\Reading;

/** How surely a line was understood. */
enum Understood: string
{
    case Yes = 'yes';
    case Doubtful = 'doubtful';
    case No = 'no';
}
