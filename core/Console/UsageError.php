<?php

declare(strict_types=1);

namespace Crown\Console;

use Crown\Problem;

/** A command line that cannot be understood. */
final class UsageError extends Problem
{
    public static function missing(string $what): self
    {
        return new self($what, 'missing', sprintf('Missing: %s. See "crown help".', $what), ['what' => $what]);
    }

    public static function option(string $name, string $allowed): self
    {
        return new self($name, 'option', sprintf('--%s is not allowed as it is. Allowed: %s.', $name, $allowed), [
            'name' => $name,
            'allowed' => $allowed,
        ]);
    }

    public static function unknown(string $command): self
    {
        return new self(
            'command',
            'unknown',
            sprintf('There is no command "%s". See "crown help".', mb_substr($command, 0, 40)),
            ['command' => $command],
        );
    }

    public static function nothingNear(string $name): self
    {
        return new self(
            'name',
            'nothing-near',
            sprintf('Nothing in the catalogue is near "%s".', mb_substr($name, 0, 60)),
            ['name' => $name],
        );
    }
}
