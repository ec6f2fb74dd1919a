<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Problem;
use Crown\Words\Message;

/** Something that cannot be asked of the solver. */
final class SolveError extends Problem
{
    /** @param  list<string>  $names of what has no price */
    public static function unpriced(array $names): self
    {
        $named = implode(', ', $names);

        return new self(
            'goal',
            'unpriced',
            new Message('solving.problem.unpriced', ['named' => $named]),
            ['names' => $named],
        );
    }

    public static function noNeed(): self
    {
        return new self(
            'goal',
            'no-need',
            new Message('solving.problem.no-need'),
        );
    }
}
