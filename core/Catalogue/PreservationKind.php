<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What an ingredient does against microbes or oxygen. An antioxidant is not a preservative. */
enum PreservationKind: string
{
    case None = 'none';
    case Broad = 'broad';
    case Partial = 'partial';
    case Antioxidant = 'antioxidant';
}
