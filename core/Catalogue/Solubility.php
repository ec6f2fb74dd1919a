<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Whether a thing goes into oil. */
enum Solubility: string
{
    case Oil = 'yes';
    case Dispersible = 'dispersible';
    case Water = 'no';
    /** Neither oil nor water takes it up: clays, starches, ground plants. */
    case Insoluble = 'insoluble';
}
