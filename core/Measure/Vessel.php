<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A bowl or a pan of the maker's. */
final readonly class Vessel
{
    /** What does not go over hot water. */
    private const NOT_HEATED = 'plastic';

    /**
     * @param  float|null  $millilitres to the rim, above 0; null when it is not known
     * @param  string|null  $material glass, steel, plastic or ceramic; null when it is not said
     * @param  float|null  $tareGrams empty, above 0; null when it is not known
     */
    public function __construct(
        public string $name,
        public ?float $millilitres,
        public ?string $material = null,
        public ?float $tareGrams = null,
    ) {
    }

    public function bearsHeat(): bool
    {
        return $this->material !== self::NOT_HEATED;
    }
}
