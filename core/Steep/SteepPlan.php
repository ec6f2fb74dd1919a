<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Band;
use Crown\Measure\Property;
use DateTimeImmutable;

/** One plant in one oil, by one method: what comes of it and when. Method page: docs/methods/steeps.md. */
final readonly class SteepPlan
{
    /** Extraction per day of cut dried leaf at 20 °C: 90 % at 28 days. */
    private const RATE = 0.082;

    /** Oil left over the plant, and air over the oil, cm. */
    public const LEAST_COVER = 2.5;

    /**
     * @param  float  $plantGrams as it goes into the jar
     * @param  float  $jarMillilitres 0 when the jar is not known
     * @param  float  $diameterCm inner width, 0 when it is not known
     *
     * @throws SteepError
     */
    public function __construct(
        public Ingredient $plant,
        public string $form,
        public float $plantGrams,
        public Ingredient $oil,
        public float $oilGrams,
        public SteepMethod $method,
        public DateTimeImmutable $start,
        public bool $shakenDaily = true,
        public bool $pressed = false,
        public float $jarMillilitres = 0.0,
        public float $diameterCm = 0.0,
        public float $celsius = 0.0,
        public float $minutes = 0.0,
    ) {
        if (! $plant->kind->isPlant()) {
            throw SteepError::notAPlant($plant->name);
        }
        if (! in_array($oil->kind, [IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::ReadySteep], true)) {
            throw SteepError::notAnOil($oil->name);
        }
        if (! isset($plant->forms[$form])) {
            throw SteepError::field('form', implode(', ', array_keys($plant->forms)));
        }
        if ($plantGrams <= 0.0 || $plantGrams > 100_000.0) {
            throw SteepError::field('plant_grams', 'a mass above 0 and at most 100,000 g');
        }
        if ($oilGrams <= 0.0 || $oilGrams > 100_000.0) {
            throw SteepError::field('oil_grams', 'a mass above 0 and at most 100,000 g');
        }
        if ($celsius > 150.0 || $minutes < 0.0 || $minutes > 1440.0) {
            throw SteepError::field('celsius', 'at most 150 °C for at most a day');
        }
    }

    /** Grams of oil to one gram of plant. */
    public function ratio(): float
    {
        return $this->oilGrams / $this->plantGrams;
    }

    /** The ratio that covers the herb without thinning the charge, for this form: dried 5 to 10, powder 8 to 15, fresh 2 to 4. */
    public function usualRatio(): Band
    {
        return match ($this->form) {
            'fresh' => Band::of(2.0, 3.0, 4.0),
            'powder' => Band::of(8.0, 11.0, 15.0),
            default => Band::of(5.0, 7.0, 10.0),
        };
    }

    public function strainDay(): DateTimeImmutable
    {
        return $this->start->modify(sprintf('+%d days', $this->method->days()));
    }

    /** Two days before straining, so that it settles; the day of straining itself for heated steeps. */
    public function stopShaking(): DateTimeImmutable
    {
        return $this->method->isHeated() ? $this->strainDay() : $this->strainDay()->modify('-2 days');
    }

    /** After settling once more: two days for a powder, one otherwise. */
    public function readyDay(): DateTimeImmutable
    {
        return $this->strainDay()->modify($this->form === 'powder' ? '+2 days' : '+1 day');
    }

    /** Per cent of what this method will draw, an estimate with a wide band. */
    public function extractionPercent(): Band
    {
        $form = match ($this->form) {
            'powder' => 4.0,
            'seed' => 0.35,
            default => 1.0,
        };
        $shaking = $this->method->isHeated() ? 1.0 : ($this->shakenDaily ? 1.3 : 0.8);
        $heat = 2 ** (($this->heldAt() - 20.0) / 10);
        $days = $this->method->isHeated() ? $this->heldMinutes() / 1440 : (float) $this->method->days();
        $drawn = static fn (float $k): float => 100 * (1 - exp(-$k * $days));
        $k = self::RATE * $form * $shaking * $heat;

        return Band::of($drawn($k / 2), $drawn($k), $drawn($k * 2));
    }

    /** Age that heat and light cost the oil, days at 20 °C in the dark: hours x 2^((T-20)/10), sun counting double. */
    public function ageSpentDays(): Band
    {
        $factor = 2 ** (($this->heldAt() - 20.0) / 10);
        $days = $this->method->isHeated()
            ? $this->heldMinutes() / 1440 * $factor
            : $this->method->days() * $factor * ($this->method === SteepMethod::SunnySill ? 2.0 : 1.0);

        return Band::within($days, 0.3);
    }

    /** Grams of oil to be had: what goes in less what the plant keeps. */
    public function yieldGrams(): Band
    {
        $facts = $this->plant->factsIn($this->form);
        $property = $this->pressed ? Property::RetentionPressed : Property::Retention;
        $retention = $facts->has($property) ? $facts->get($property)->band : Band::of(0.6, 1.2, 2.0);
        $kept = $retention->scaled($this->plantGrams);

        return Band::exact($this->oilGrams)->minus($kept)->atLeast(0.0);
    }

    /** Grams of water that a fresh plant gives up into the oil: mass x moisture x release (chopped 0.35, whole 0.1, blended 0.8). */
    public function waterInGrams(): Band
    {
        if ($this->form !== 'fresh') {
            return Band::exact(0.0);
        }
        $facts = $this->plant->factsIn('fresh');
        $moisture = $facts->has(Property::Moisture) ? $facts->get(Property::Moisture)->band : Band::of(0.8, 0.87, 0.95);

        return $moisture->scaled($this->plantGrams)->times(Band::of(0.10, 0.35, 0.80));
    }

    /** cm of oil over the settled plant; zero-wide at 0 when the jar's measures are not known. */
    public function oilAbovePlantCm(): Band
    {
        return $this->diameterCm <= 0.0 ? Band::exact(0.0) : $this->height($this->fillMillilitres())->minus($this->height($this->plantMillilitres()))->atLeast(0.0);
    }

    /** cm of air over the oil; negative when the jar is too small. */
    public function headspaceCm(): Band
    {
        return $this->diameterCm <= 0.0 ? Band::exact(0.0) : $this->height(Band::exact($this->jarMillilitres))->minus($this->height($this->fillMillilitres()));
    }

    public function knowsJar(): bool
    {
        return $this->diameterCm > 0.0 && $this->jarMillilitres > 0.0;
    }

    /** How to strain it, by particle size. */
    public function straining(): string
    {
        return match ($this->form) {
            'powder' => 'Let it settle untouched for 36 to 48 hours, pour the clear oil off, then filter the rest. Never a stocking or a coarse sieve: powder goes straight through. Do not press.',
            'fresh' => 'Lift the plant out, strain through a cloth into a wide bowl without pressing, let it stand, and leave the last centimetre behind: water sinks there.',
            'seed' => 'A strainer is enough. Strain into a wide jug, then fill the bottle through a funnel.',
            default => 'Strain through a cloth into a wide bowl; press gently if you want the last of it. Then fill the bottle through a funnel.',
        };
    }

    private function heldAt(): float
    {
        return $this->celsius > 0.0 ? $this->celsius : $this->method->celsius();
    }

    private function heldMinutes(): float
    {
        return $this->minutes > 0.0 ? $this->minutes : $this->method->minutes();
    }

    /** Volume of the settled plant with its gaps, ml. */
    private function plantMillilitres(): Band
    {
        $facts = $this->plant->factsIn($this->form);
        $bulk = $facts->has(Property::BulkDensity) ? $facts->get(Property::BulkDensity)->band : Band::of(0.12, 0.2, 0.3);

        return Band::exact($this->plantGrams)->over($bulk);
    }

    /** Oil and the solid matter of the plant, ml: the matter itself is about 1.2 g/ml dry, 1.0 fresh. */
    private function fillMillilitres(): Band
    {
        $oil = $this->oilGrams / $this->oil->facts->best(Property::Density20, 0.92);
        $matter = $this->plantGrams / ($this->form === 'fresh' ? 1.0 : 1.2);

        return Band::within($oil + $matter, 0.05);
    }

    private function height(Band $millilitres): Band
    {
        return $millilitres->scaled(4 / (M_PI * $this->diameterCm ** 2));
    }
}
