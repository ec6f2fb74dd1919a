<?php

declare(strict_types=1);

namespace Crown\Make;

/** What is looked at on every container before it is put away. */
enum Inspected: string
{
    /** No chip and no crack. */
    case Whole = 'whole';
    /** Rim and outside wiped, nothing left on them. */
    case Clean = 'clean';
    /** Closed, and the lid holds. */
    case Sealed = 'sealed';
    /** With lot and date. */
    case Labelled = 'labelled';
}
