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
     */
    public function __construct(public array $percent, public float $structure, public string $source)
    {
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

    /** Per cent solid at a temperature; 0 when nothing is known, which known() tells apart. */
    public function at(float $celsius): float
    {
        $cold = 10.0;
        $firm = $this->percent[10] ?? 0.0;
        foreach (self::TEMPERATURES as $warm) {
            $soft = $this->percent[$warm] ?? 0.0;
            if ($celsius <= $warm) {
                $span = $warm - $cold;

                return $span <= 0.0 || $celsius <= $cold
                    ? $firm
                    : $firm + (($soft - $firm) * ($celsius - $cold)) / $span;
            }
            $cold = (float) $warm;
            $firm = $soft;
        }

        return $firm;
    }
}
