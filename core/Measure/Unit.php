<?php

declare(strict_types=1);

namespace Crown\Measure;

/** Every unit a maker writes an amount in. */
enum Unit: string
{
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';
    case Millilitre = 'ml';
    case Litre = 'l';
    case FluidOunce = 'fl oz';
    case Teaspoon = 'tsp';
    case Tablespoon = 'tbsp';
    case Cup = 'cup';
    case Drop = 'drops';
    case Pinch = 'pinch';
    case Capsule = 'capsules';
    case Part = 'parts';
    case Percent = '%';
    case Piece = 'pieces';
    case Fill = 'to fill';

    /** Grams in one of this unit; zero when the unit is not one of mass. Avoirdupois ounce 28.349523 g. */
    public function grams(): float
    {
        return match ($this) {
            self::Gram => 1.0,
            self::Kilogram => 1000.0,
            self::Ounce => 28.349523125,
            self::Pound => 453.59237,
            default => 0.0,
        };
    }

    public function isMass(): bool
    {
        return $this->grams() > 0.0;
    }

    /** Millilitres in one of this unit; zero when the unit is not one of volume. */
    public function millilitres(CupSize $cup): float
    {
        return match ($this) {
            self::Millilitre => 1.0,
            self::Litre => 1000.0,
            self::FluidOunce => $cup->fluidOunceMillilitres(),
            self::Teaspoon => $cup->teaspoonMillilitres(),
            self::Tablespoon => $cup->tablespoonMillilitres(),
            self::Cup => $cup->cupMillilitres(),
            default => 0.0,
        };
    }

    public function isVolume(): bool
    {
        return $this->millilitres(CupSize::Metric) > 0.0;
    }

    /** Whether the unit says a proportion of the whole rather than a quantity of its own. */
    public function isRelative(): bool
    {
        return $this === self::Part || $this === self::Percent || $this === self::Fill;
    }

    /**
     * Relative half-width of one filling by hand: marked cylinder or bottle 3 %, cup 7 %, tablespoon 10 %,
     * teaspoon 12 %, piece and pinch 30 %. Zero for units that are weighed or counted exactly.
     */
    public function handHalfWidth(): float
    {
        return match ($this) {
            self::Millilitre, self::Litre, self::FluidOunce => 0.03,
            self::Cup => 0.07,
            self::Tablespoon => 0.1,
            self::Teaspoon => 0.12,
            self::Piece, self::Pinch => 0.3,
            default => 0.0,
        };
    }

    /** The unit in words after a count: "1 drop", "2 drops", "3 tbsp". */
    public function after(float $count): string
    {
        if ($this === self::Percent) {
            return '%';
        }
        $single = match ($this) {
            self::Drop => 'drop',
            self::Capsule => 'capsule',
            self::Part => 'part',
            self::Piece => 'piece',
            default => $this->value,
        };
        $plural = match ($this) {
            self::Cup => 'cups',
            self::Pinch => 'pinches',
            default => $this->value,
        };

        return $count <= 1.0 ? $single : $plural;
    }
}
