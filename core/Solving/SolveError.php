<?php

declare(strict_types=1);

namespace Crown\Solving;

use DomainException;

/** Something that cannot be asked of the solver. Names the field and what is allowed. */
final class SolveError extends DomainException
{
    public static function field(string $field, string $allowed): self
    {
        return new self(sprintf('%s is not allowed as it is. Allowed: %s.', $field, $allowed));
    }

    /** @param  list<string>  $names of what has no price */
    public static function unpriced(array $names): self
    {
        return new self(
            sprintf(
                'What it costs cannot be told before every line has a price. None is known of %s.',
                implode(', ', $names),
            ),
        );
    }

    public static function noNeed(): self
    {
        return new self('Serves the most of what? Choose a head that has needs, or ask for points for a need.');
    }
}
