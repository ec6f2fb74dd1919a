<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/**
 * An amount as the maker wrote it, with what it was read as. It is read once, here, and travels with its line; what was
 * written stays the truth, also where it cannot be read yet. Method page: docs/methods/amounts.md.
 */
final readonly class WrittenAmount implements JsonSerializable
{
    /** Null when it cannot be read. */
    public ?Amount $read;

    /** Why it cannot be read, and what could be; null when it can. */
    public ?string $problem;

    public function __construct(public string $text)
    {
        $read = null;
        $problem = $text === '' ? 'No amount is given yet.' : null;
        try {
            $read = $text === '' ? null : AmountReader::read($text);
        } catch (MeasureError $e) {
            $problem = $e->getMessage();
        }
        $this->read = $read;
        $this->problem = $problem;
    }

    public function isBlank(): bool
    {
        return $this->text === '';
    }

    public function equals(self $other): bool
    {
        return $this->text === $other->text;
    }

    /** What was written: the reading follows from it. */
    public function jsonSerialize(): string
    {
        return $this->text;
    }
}
