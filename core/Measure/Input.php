<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/** One named input of a working: its value, its unit and where it comes from. */
final readonly class Input implements JsonSerializable
{
    public function __construct(public string $name, public Band $value, public string $unit, public string $source)
    {
    }

    /** @return array{name: string, value: Band, unit: string, source: string} */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'value' => $this->value, 'unit' => $this->unit, 'source' => $this->source];
    }
}
