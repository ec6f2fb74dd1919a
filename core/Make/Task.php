<?php

declare(strict_types=1);

namespace Crown\Make;

/** One thing to do at the counter, and the sign that it is done. */
final readonly class Task
{
    public function __construct(public TaskKind $kind, public string $act, public string $gate)
    {
    }
}
