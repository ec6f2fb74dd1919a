<?php

declare(strict_types=1);

namespace Crown\Reading;

/** What a doubtful line is asked about. */
enum Asked: string
{
    case Ingredient = 'ingredient';
    case Amount = 'amount';
}
