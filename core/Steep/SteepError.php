<?php

declare(strict_types=1);

namespace Crown\Steep;

use DomainException;

/** A steep that cannot be planned. Names the field and what is allowed. */
final class SteepError extends DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function field(string $field, string $allowed): self
    {
        return new self($field, sprintf('%s is not allowed as it is. Allowed: %s.', $field, $allowed));
    }

    /** What another room said, for one field. */
    public static function said(string $field, string $message): self
    {
        return new self($field, $message);
    }

    public static function scent(string $field, string $name): self
    {
        return new self(
            $field,
            sprintf(
                '%s is no plant to steep, and heat drives it off: put it into the finished oil, cool, by drops.',
                $name,
            ),
        );
    }

    public static function notAPlant(string $name): self
    {
        return new self('plant', sprintf('%s is not a plant, so it cannot be steeped.', $name));
    }

    public static function notAnOil(string $name): self
    {
        return new self('oil', sprintf('%s is not an oil to steep in.', $name));
    }
}
