<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A probe or a kitchen thermometer of the maker's. */
final readonly class Thermometer
{
    /** @param  float  $stepCelsius what it shows steps of, °C; 0 when it is not known */
    public function __construct(public string $name, public float $stepCelsius = 0.0)
    {
    }

    /** The highest that it may show where a limit has to be kept: half a step under it, in its own steps. */
    public function atMost(float $celsius): float
    {
        $step = $this->stepCelsius;

        return $step > 0.0 ? floor(($celsius - $step / 2) / $step + 1e-9) * $step : $celsius;
    }
}
