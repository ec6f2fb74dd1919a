<?php

declare(strict_types=1);

namespace Crown\Make;

use JsonSerializable;

/**
 * Where what was weighed went: into jars, what was left over, and what stayed in bowl and spout.
 *
 * As JSON: $defs/BatchYield in docs/formats/crown.schema.json.
 */
final readonly class BatchYield implements JsonSerializable
{
    /** Grams, each at least 0. */
    public function __construct(public float $weighed, public float $filled, public float $remainder)
    {
    }

    /** Below 0 where the jars hold more than was weighed, as far as two scales differ. */
    public function lost(): float
    {
        return $this->weighed - $this->filled - $this->remainder;
    }

    /** @return array<string, float|null> */
    public function jsonSerialize(): array
    {
        return [
            'weighed_grams' => round($this->weighed, 2),
            'filled_grams' => round($this->filled, 2),
            'remainder_grams' => round($this->remainder, 2),
            'lost_grams' => round($this->lost(), 2),
            'lost_percent' => $this->weighed > 0.0 ? round((100 * $this->lost()) / $this->weighed, 1) : null,
        ];
    }
}
