<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * A published or estimated number: its band, and the id of its source in data/sources.json ("estimate" for a
 * judgement).
 */
final readonly class Fact
{
    public const ESTIMATE = 'estimate';

    public function __construct(public Band $band, public string $source)
    {
    }

    public function isEstimate(): bool
    {
        return $this->source === self::ESTIMATE;
    }
}
