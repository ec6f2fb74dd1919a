<?php

declare(strict_types=1);

namespace Crown\Steep;

/** The ways of drawing a plant into oil. Method page: docs/methods/steeps.md. */
enum SteepMethod: string
{
    case ColdDark = 'cold-dark';
    case SunnySill = 'sunny-sill';
    case WaterBath = 'water-bath';
    case HotJar = 'hot-jar';
    case DirectHeat = 'direct-heat';

    /** Days it stands by default: 28 cold and dark (14 to 56), 35 on the sill, one for the heated ways. */
    public function days(): int
    {
        return match ($this) {
            self::ColdDark => 28,
            self::SunnySill => 35,
            default => 1,
        };
    }

    public function isHeated(): bool
    {
        return $this !== self::ColdDark && $this !== self::SunnySill;
    }

    /** Temperature it is held at, °C. */
    public function celsius(): float
    {
        return match ($this) {
            self::ColdDark => 20.0,
            self::SunnySill => 25.0,
            self::WaterBath => 70.0,
            self::HotJar => 60.0,
            self::DirectHeat => 90.0,
        };
    }

    /** Minutes at that temperature, for the heated ways. */
    public function minutes(): float
    {
        return match ($this) {
            self::WaterBath => 60.0,
            self::HotJar => 60.0,
            self::DirectHeat => 10.0,
            default => 0.0,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::ColdDark => 'Cold and dark',
            self::SunnySill => 'Sunny sill',
            self::WaterBath => 'Water bath',
            self::HotJar => 'Closed jar in hot water',
            self::DirectHeat => 'Gentle direct heat',
        };
    }
}
