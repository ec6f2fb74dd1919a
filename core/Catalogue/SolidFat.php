<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/**
 * Solid fat content against temperature, per cent of the fat that is solid; straight lines between the given points.
 */
final readonly class SolidFat
{
    /** Temperatures at which every curve is given, °C. */
    public const TEMPERATURES = [10, 20, 25, 30, 35, 40];

    /**
     * @param  array<int, float>  $percent keyed by °C, falling as it gets warmer; empty when it is not known
     * @param  float  $structure how much firmer a blend is made by one part of this than by one part of solid fat
     * @param  float|null  $meltedAt °C at which the last of it is melted, the top of its melting range; null where that
     *     is not known
     */
    public function __construct(
        public array $percent,
        public float $structure,
        public string $source,
        public ?float $meltedAt = null,
    ) {
    }

    public static function liquid(): self
    {
        return new self(array_fill_keys(self::TEMPERATURES, 0.0), 1.0, 'liquid at room temperature');
    }

    public function known(): bool
    {
        return $this->percent !== [];
    }

    /** Whether nothing of it is solid in the cold, and so nowhere; also where nothing is known. */
    public function isLiquid(): bool
    {
        return ($this->percent[10] ?? 0.0) === 0.0;
    }

    /**
     * °C at which the line turns to nothing between two of the given points; null where it does so at one of them, or
     * only above the last.
     */
    public function end(): ?float
    {
        return $this->meltedAt !== null && $this->meltedAt > 10.0 && $this->meltedAt < 40.0 && ! $this->isLiquid()
            ? $this->meltedAt
            : null;
    }

    /** Per cent solid at a temperature; 0 when nothing is known, which known() tells apart. */
    public function at(float $celsius): float
    {
        if ($celsius <= 10.0 || $this->percent === []) {
            return $this->percent[10] ?? 0.0;
        }
        [$cold, $warm] = self::between($celsius);
        $firm = $this->percent[$cold] ?? 0.0;
        $soft = $this->percent[$warm] ?? 0.0;
        $end = $this->end();
        // Above where its melting range ends nothing is left; into that its last line falls.
        if ($end !== null && $end <= $warm) {
            [$warm, $soft] = [$end, 0.0];
        }

        return match (true) {
            $celsius >= $warm => $soft,
            default => $firm + (($soft - $firm) * ($celsius - $cold)) / ($warm - $cold),
        };
    }

    /** @return array{int, int} the given temperatures on both sides of one over 10 °C; the last twice beyond it */
    private static function between(float $celsius): array
    {
        return match (true) {
            $celsius <= 20.0 => [10, 20],
            $celsius <= 25.0 => [20, 25],
            $celsius <= 30.0 => [25, 30],
            $celsius <= 35.0 => [30, 35],
            $celsius <= 40.0 => [35, 40],
            default => [40, 40],
        };
    }
}
