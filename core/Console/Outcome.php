<?php

declare(strict_types=1);

namespace Crown\Console;

/**
 * What a command leaves behind: an exit code (0 done, 1 done with a finding of severity stop, 2 bad input) and its
 * texts.
 */
final readonly class Outcome
{
    public function __construct(public int $exit, public string $output, public string $error = '')
    {
    }
}
