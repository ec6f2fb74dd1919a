<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Advice for pregnancy and nursing. */
enum Advice: string
{
    case Ok = 'ok';
    case Caution = 'caution';
    case Avoid = 'avoid';
}
