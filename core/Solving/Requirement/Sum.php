<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Candidate;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Requirement;

/** A figure that every ingredient adds to by its share. */
abstract readonly class Sum extends Requirement
{
    /** What one per cent of it adds, in the requirement's own unit. */
    abstract protected function perPercent(Candidate $candidate): float;

    public function rows(Programme $programme): array
    {
        return [
            new Row($programme->each($this->perPercent(...)), $this->between->low(), $this->between->high()),
        ];
    }

    public function reached(Programme $programme, array $x): float
    {
        $sum = 0.0;
        foreach ($programme->candidates as $j => $candidate) {
            $sum += $this->perPercent($candidate) * $x[$j];
        }

        return $sum;
    }
}
