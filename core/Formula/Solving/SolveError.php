<?php

declare(strict_types=1);

namespace Crown\Formula\Solving;

use DomainException;

/** Something that cannot be asked of the solver. Names the field and what is allowed. */
final class SolveError extends DomainException
{
    public static function field(string $field, string $allowed): self
    {
        return new self(sprintf('%s is not allowed as it is. Allowed: %s.', $field, $allowed));
    }
}
