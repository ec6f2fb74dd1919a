<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Problem;

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
            sprintf('What it costs cannot be told before every line has a price. None is known of %s.', $named),
            ['names' => $named],
        );
    }

    public static function noNeed(): self
    {
        return new self(
            'goal',
            'no-need',
            'Serves the most of what? Choose a head that has needs, or ask for points for a need.',
        );
    }
}
