<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Problem;

/** A formula, or a change to one, that cannot be. */
final class FormulaError extends Problem
{
    public static function tooManyLines(int $count): self
    {
        return new self(
            'lines',
            'too-many-lines',
            sprintf('A formula holds at most %d lines; this one has %d.', Formula::MOST_LINES, $count),
            ['most' => Formula::MOST_LINES, 'lines' => $count],
        );
    }

    public static function noSuchLine(string $id): self
    {
        $id = mb_substr($id, 0, 40);

        return new self(
            'lines',
            'no-such-line',
            sprintf('This formula has no line "%s" any more.', $id),
            ['line' => $id],
        );
    }

    /** @param  string  $needed in words */
    public static function batchSize(string $path, string $needed): self
    {
        return new self($path, 'batch-size', sprintf('The batch size needs %s.', $needed), ['needed' => $needed]);
    }

    public static function doesNotPour(string $name): self
    {
        return new self(
            'lines',
            'does-not-pour',
            sprintf(
                '%s does not pour, or its density is not known, so no height on a bottle can be told for it.',
                $name,
            ),
            ['name' => $name],
        );
    }
}
