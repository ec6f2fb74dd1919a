<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Band;
use JsonSerializable;

/** A figure that a finding rests on: which, and how much, in the unit that belongs to it. */
final readonly class FindingFigure implements JsonSerializable
{
    public function __construct(public FigureName $name, public Band $band)
    {
    }

    /** To three digits, with its high end where that is another: a tenth of a drop more changes nothing. */
    public function written(): string
    {
        [$best, $high] = [sprintf('%.3g', $this->band->best), sprintf('%.3g', $this->band->high)];

        return $best === $high ? $best : $best.' to '.$high;
    }

    /** @return array{low: float, best: float, high: float, label: string, unit: string} */
    public function jsonSerialize(): array
    {
        return [...$this->band->jsonSerialize(), 'label' => $this->name->label(), 'unit' => $this->name->unit()];
    }
}
