<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use DomainException;

/** A routine that cannot be. Names the field and what is allowed. */
final class RoutineError extends DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function field(string $field, string $allowed): self
    {
        return new self($field, sprintf('%s is not allowed as it is. Allowed: %s.', $field, $allowed));
    }
}
