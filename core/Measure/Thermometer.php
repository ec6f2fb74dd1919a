<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A probe or a kitchen thermometer of the maker's. */
final readonly class Thermometer
{
    /** @param  float|null  $stepCelsius what it shows steps of, °C, above 0; null when it is not known */
    public function __construct(public string $name, public ?float $stepCelsius = null)
    {
    }

    /** The highest that it may show where a limit has to be kept: half a step under it, in its own steps. */
    public function atMost(float $celsius): float
    {
        $step = $this->stepCelsius;

        return $step === null ? $celsius : floor(($celsius - $step / 2) / $step + 1e-9) * $step;
    }
}
