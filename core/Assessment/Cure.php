<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Change;
use JsonSerializable;

/** One way to mend a finding: a label for the button, and the change as data. */
final readonly class Cure implements JsonSerializable
{
    public function __construct(public string $label, public Change $change)
    {
    }

    /** @return array{label: string, change: Change} */
    public function jsonSerialize(): array
    {
        return ['label' => $this->label, 'change' => $this->change];
    }
}
