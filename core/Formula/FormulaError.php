<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Problem;
use Crown\Words\Message;

/** A formula, or a change to one, that cannot be. */
final class FormulaError extends Problem
{
    public static function tooManyLines(int $count): self
    {
        return new self(
            'lines',
            'too-many-lines',
            new Message('formula.problem.too-many-lines', [
                'most' => Formula::MOST_LINES,
                'count' => $count,
            ]),
            ['most' => Formula::MOST_LINES, 'lines' => $count],
        );
    }

    public static function noSuchLine(string $id): self
    {
        $id = mb_substr($id, 0, 40);

        return new self(
            'lines',
            'no-such-line',
            new Message('formula.problem.no-such-line', ['id' => $id]),
            ['line' => $id],
        );
    }

    /** @param  string  $needed in words */
    public static function batchSize(string $path, string $needed): self
    {
        return new self($path, 'batch-size', new Message('formula.problem.batch-size', ['needed' => $needed]));
    }

    public static function doesNotPour(string $name): self
    {
        return new self(
            'lines',
            'does-not-pour',
            new Message('formula.problem.does-not-pour', ['name' => $name]),
            ['name' => $name],
        );
    }
}
