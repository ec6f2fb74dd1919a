<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * A published or estimated number: its band, and the id of its source in data/sources.json ("estimate" for a
 * judgement). Of a studio's own figure its source is said in the studio's own words.
 */
final readonly class Fact
{
    public const ESTIMATE = 'estimate';

    /** Before what a studio says of where its figure comes from. */
    private const OF_STUDIO = 'studio: ';

    public function __construct(public Band $band, public string $source)
    {
    }

    /** A studio's own, with what it says of where it comes from. */
    public static function own(Band $band, string $said): self
    {
        return new self($band, self::OF_STUDIO.$said);
    }

    public function isOwn(): bool
    {
        return str_starts_with($this->source, self::OF_STUDIO);
    }

    /** What the studio said of where it comes from; of a figure that is not its own, the id of the source. */
    public function said(): string
    {
        return $this->isOwn() ? substr($this->source, strlen(self::OF_STUDIO)) : $this->source;
    }

    public function isEstimate(): bool
    {
        return $this->source === self::ESTIMATE;
    }
}
