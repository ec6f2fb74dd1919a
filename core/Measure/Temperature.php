<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A temperature, held in degrees Celsius. */
final readonly class Temperature
{
    private function __construct(public float $celsius)
    {
    }

    /**
     * How fast things happen at a temperature against 20 °C: twice as fast for every 10 K (van 't Hoff's rule with a
     * Q10 of 2).
     */
    public static function speed(float $celsius): float
    {
        return 2 ** (($celsius - 20.0) / 10);
    }

    public static function celsius(float $degrees): self
    {
        return new self($degrees);
    }

    public static function fahrenheit(float $degrees): self
    {
        return new self((($degrees - 32.0) * 5.0) / 9.0);
    }
}
