<?php

declare(strict_types=1);

namespace Crown\Make;

/** That a task was ticked: why it was passed over, and what the probe had shown last. */
final readonly class TaskDone
{
    /**
     * @param  string|null  $skipped why it was passed over; null where it was done
     * @param  float|null  $celsius °C; null where nothing was read for it
     */
    public function __construct(public ?string $skipped = null, public ?float $celsius = null)
    {
    }
}
