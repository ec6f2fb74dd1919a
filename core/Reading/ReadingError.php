<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Problem;

/** A text that cannot be read as a recipe at all. */
final class ReadingError extends Problem
{
    public static function empty(): self
    {
        return new self(
            'text',
            'empty',
            'There is no text to read. Paste a recipe: a title, then one ingredient on each line.',
        );
    }

    public static function tooLong(int $characters): self
    {
        return new self(
            'text',
            'too-long',
            sprintf(
                'This text has %s characters; a recipe of at most %s can be read. Paste the recipe alone.',
                number_format($characters),
                number_format(RecipeReader::MOST_CHARACTERS),
            ),
            ['characters' => $characters],
        );
    }

    public static function tooManyLines(int $lines): self
    {
        return new self(
            'text',
            'too-many-lines',
            sprintf('This text has %d lines; a recipe of at most %d can be read.', $lines, RecipeReader::MOST_LINES),
            ['lines' => $lines],
        );
    }

    public static function tooManyIngredients(int $most): self
    {
        return new self(
            'text',
            'too-many-ingredients',
            sprintf('A recipe has at most %d lines, and this text has more. Paste one recipe alone.', $most),
            ['most' => $most],
        );
    }

    public static function tooManySteps(int $most): self
    {
        return new self(
            'text',
            'too-many-steps',
            sprintf('A method has at most %d steps, and this text has more. Paste one recipe alone.', $most),
            ['most' => $most],
        );
    }

    public static function tooManyNames(int $most): self
    {
        return new self(
            'text',
            'too-many-names',
            sprintf('This text names more than %d different things. Paste one recipe alone.', $most),
            ['most' => $most],
        );
    }

    public static function notText(): self
    {
        return new self('text', 'not-text', 'This is not readable text. Paste it as plain text (UTF-8).');
    }
}
