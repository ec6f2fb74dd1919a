<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/** A number as it is shown: its band, its unit, how it is known and its working. */
final readonly class Figure implements JsonSerializable
{
    public function __construct(public Band $band, public string $unit, public Basis $basis, public Working $working)
    {
    }

    /** @return array{low: float, best: float, high: float, unit: string, basis: string, working: Working} */
    public function jsonSerialize(): array
    {
        return [
            ...$this->band->jsonSerialize(),
            'unit' => $this->unit,
            'basis' => $this->basis->value,
            'working' => $this->working,
        ];
    }
}
