<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/**
 * Where something is kept, through the year. Dates go by its warmest months: what keeps in them keeps.
 *
 * As JSON: $defs/Place in docs/formats/crown.schema.json.
 */
final readonly class Place implements JsonSerializable
{
    /** A fridge, °C. */
    public const FRIDGE = 5.0;

    /** From here on downwards it is frozen, °C. */
    public const FROZEN = -10.0;

    /** What stands in most homes; °C in summer and in winter, and whether the air is wet. */
    private const USUAL = [
        'Room' => [20.0, 20.0, false],
        'Warm kitchen' => [26.0, 21.0, false],
        'Cool cupboard' => [16.0, 12.0, false],
        'Bathroom shelf' => [26.0, 22.0, true],
        'Fridge' => [self::FRIDGE, self::FRIDGE, false],
        'Freezer' => [-18.0, -18.0, false],
    ];

    public function __construct(
        public string $name,
        public float $summerCelsius,
        public float $winterCelsius,
        public bool $wet,
        public bool $own = false,
    ) {
    }

    /** @return list<self> for whoever has written none down */
    public static function usual(): array
    {
        return array_map(
            static fn (string $name, array $of): self => new self($name, ...$of),
            array_keys(self::USUAL),
            self::USUAL,
        );
    }

    /** By which dates are counted, °C. */
    public function celsius(): float
    {
        return max($this->summerCelsius, $this->winterCelsius);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'celsius' => $this->celsius(), 'wet' => $this->wet, 'own' => $this->own];
    }
}
