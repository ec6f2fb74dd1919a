<?php

declare(strict_types=1);

namespace Crown\Measure;

/** Which cup stands in the maker's cupboard: a studio setting. Spoons and fluid ounces follow it. */
enum CupSize: string
{
    case UsCustomary = 'us';
    case Metric = 'metric';
    case Imperial = 'imperial';

    /** Millilitres in one cup (US customary 236.588, metric 250, imperial 284.131). */
    public function cupMillilitres(): float
    {
        return match ($this) {
            self::UsCustomary => 236.588,
            self::Metric => 250.0,
            self::Imperial => 284.131,
        };
    }

    /** Millilitres in one tablespoon: a sixteenth of a US cup, 15 ml metric and imperial kitchen spoons. */
    public function tablespoonMillilitres(): float
    {
        return $this === self::UsCustomary ? 14.7868 : 15.0;
    }

    /** Millilitres in one teaspoon: a third of the tablespoon. */
    public function teaspoonMillilitres(): float
    {
        return $this === self::UsCustomary ? 4.92892 : 5.0;
    }

    /** Millilitres in one fluid ounce: US 29.5735, imperial 28.4131; metric kitchens read the US one. */
    public function fluidOunceMillilitres(): float
    {
        return $this === self::Imperial ? 28.4131 : 29.5735;
    }
}
