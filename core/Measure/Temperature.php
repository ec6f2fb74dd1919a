<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A temperature, held in degrees Celsius. */
final readonly class Temperature
{
    private function __construct(public float $celsius)
    {
    }

    public static function celsius(float $degrees): self
    {
        return new self($degrees);
    }

    public static function fahrenheit(float $degrees): self
    {
        return new self((($degrees - 32.0) * 5.0) / 9.0);
    }

    public function inFahrenheit(): float
    {
        return ($this->celsius * 9.0) / 5.0 + 32.0;
    }
}
