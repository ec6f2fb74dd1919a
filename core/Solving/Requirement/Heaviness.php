<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Measure\Property;
use Crown\Solving\Candidate;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Requirement;
use Crown\Words\Message;

/** How heavy it lies on the hair, 1 to 5: a mean over what has a heaviness (docs/methods/fit.md). */
final readonly class Heaviness extends Requirement
{
    public function kind(): string
    {
        return 'weight';
    }

    /** A mean at an end is linear: the sum of share x (heaviness - end), against nothing. */
    public function rows(Programme $programme): array
    {
        $rows = [];
        if ($this->between->least !== null) {
            $rows[] = new Row($programme->each($this->above($this->between->least)), 0.0, INF);
        }
        if ($this->between->most !== null) {
            $rows[] = new Row($programme->each($this->above($this->between->most)), -INF, 0.0);
        }

        return $rows;
    }

    public function reached(Programme $programme, array $x): float
    {
        return $programme->blend($x)->heaviness() ?? 0.0;
    }

    public function words(): string
    {
        return Message::said('solving.heaviness.weight-on-hair', ['between' => $this->between->words()]);
    }

    /** @return callable(Candidate): float */
    private function above(float $end): callable
    {
        return static fn (Candidate $c): float => $c->ingredient->facts->has(Property::Weight)
            ? $c->ingredient->facts->best(Property::Weight, 0.0) - $end
            : 0.0;
    }
}
