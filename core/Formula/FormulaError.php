<?php

declare(strict_types=1);

namespace Crown\Formula;

use DomainException;

/** A formula, or a change to one, that cannot be. Names the field and what is allowed. */
final class FormulaError extends DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function field(string $field, string $allowed): self
    {
        return new self($field, sprintf('%s is not allowed as it is. Allowed: %s.', $field, $allowed));
    }

    public static function tooManyLines(int $count): self
    {
        return new self(
            'lines',
            sprintf('A formula holds at most %d lines; this one has %d.', Formula::MOST_LINES, $count),
        );
    }

    public static function noSuchLine(string $id): self
    {
        return new self('lines', sprintf('This formula has no line "%s" any more.', mb_substr($id, 0, 40)));
    }

    public static function batchSize(string $field, string $allowed): self
    {
        return new self($field, sprintf('The batch size needs %s.', $allowed));
    }

    public static function doesNotPour(string $name): self
    {
        return new self(
            'lines',
            sprintf(
                '%s does not pour, or its density is not known, so no height on a bottle can be told for it.',
                $name,
            ),
        );
    }
}
