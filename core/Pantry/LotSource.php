<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** Where a lot came from. */
enum LotSource: string
{
    case Bought = 'bought';
    case Steeped = 'steeped';
    /** A finished batch. */
    case Made = 'made';
}
