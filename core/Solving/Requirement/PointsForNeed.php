<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Catalogue\Need;
use Crown\Solving\Between;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Requirement;

/** Points for a need of the hair or scalp, 0 to 100, never promised higher than they are (docs/methods/fit.md). */
final readonly class PointsForNeed extends Requirement
{
    public function __construct(Between $between, public Need $need)
    {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'need';
    }

    public function of(): string
    {
        return $this->need->value;
    }

    public function rows(Programme $programme): array
    {
        return [$this->row($programme)];
    }

    public function reached(Programme $programme, array $x): float
    {
        return $this->row($programme)->value($x);
    }

    public function words(): string
    {
        return sprintf('%s %s points', $this->need->label(), $this->between->words());
    }

    private function row(Programme $programme): Row
    {
        return new Row($programme->points($this->need), $this->between->low(), $this->between->high());
    }
}
