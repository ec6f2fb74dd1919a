<?php

declare(strict_types=1);

namespace Crown\Console;

use DomainException;

/** A command line that cannot be understood. */
final class UsageError extends DomainException
{
    public static function missing(string $what): self
    {
        return new self(sprintf('Missing: %s. See "crown help".', $what));
    }

    public static function option(string $name, string $allowed): self
    {
        return new self(sprintf('--%s is not allowed as it is. Allowed: %s.', $name, $allowed));
    }

    public static function unknown(string $command): self
    {
        return new self(sprintf('There is no command "%s". See "crown help".', mb_substr($command, 0, 40)));
    }

    public static function nothingNear(string $name): self
    {
        return new self(sprintf('Nothing in the catalogue is near "%s".', mb_substr($name, 0, 60)));
    }
}
