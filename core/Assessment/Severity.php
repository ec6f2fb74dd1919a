<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** How much a finding asks of the maker. */
enum Severity: string
{
    /** Do not make or use it so. */
    case Stop = 'stop';
    /** Can be right, must be decided. */
    case Caution = 'caution';
    /** Good to know. */
    case Note = 'note';

    public function rank(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Caution => 1,
            self::Note => 2,
        };
    }
}
