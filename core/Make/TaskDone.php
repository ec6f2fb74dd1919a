<?php

declare(strict_types=1);

namespace Crown\Make;

/** That a task was ticked: why it was passed over, and what the probe had shown last. */
final readonly class TaskDone
{
    /**
     * @param  string  $skipped "" where it was done
     * @param  float|null  $celsius °C; null where nothing was read for it
     */
    public function __construct(public string $skipped = '', public ?float $celsius = null)
    {
    }
}
