<?php

declare(strict_types=1);

namespace Crown\Words;

use Crown\Words\Internal\MessageFiles;

/** The message files as PHP, for a caller with many short processes. */
final class KeptWords
{
    /** All rooms as PHP to be written into a file. */
    public static function compiled(): string
    {
        return MessageFiles::compiled();
    }

    /** The file in which they were written; it is used while it is as new as the message files. */
    public static function in(string $file): void
    {
        MessageFiles::keepIn($file);
    }
}
