<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Bounds;
use Crown\Words\Message;

/** The schools of drawing a plant into oil. Method page: docs/methods/steeps.md. */
enum SteepMethod: string
{
    case ColdDark = 'cold-dark';
    case SunnySill = 'sunny-sill';
    case WaterBath = 'water-bath';
    case HotJar = 'hot-jar';
    case DirectHeat = 'direct-heat';
    case BlendHeat = 'blend-heat';
    /** Cold and dark, the herb left in, oil taken as it is needed. */
    case LeaveIn = 'leave-in';

    /** Days it stands by default: 28 cold and dark (14 to 56), 35 on the sill, 56 left in, one for the heated ways. */
    public function days(): int
    {
        return match ($this) {
            self::ColdDark => 28,
            self::SunnySill => 35,
            self::LeaveIn => 56,
            default => 1,
        };
    }

    /** The fewest and the most days that make sense. */
    public function standsBetween(): Bounds
    {
        return match ($this) {
            self::ColdDark => new Bounds(14, 56),
            self::SunnySill => new Bounds(28, 42),
            self::LeaveIn => new Bounds(28, 180),
            default => new Bounds(1, 1),
        };
    }

    public function isHeated(): bool
    {
        return match ($this) {
            self::WaterBath, self::HotJar, self::DirectHeat, self::BlendHeat => true,
            default => false,
        };
    }

    /** Heated in the open: the closed jar keeps what rises. */
    public function drivesWaterOff(): bool
    {
        return $this->isHeated() && $this !== self::HotJar;
    }

    public function isInSun(): bool
    {
        return $this === self::SunnySill;
    }

    /** Temperature it is held at, °C. The closed jar cools as it stands: 60 stands for the hour. */
    public function celsius(): float
    {
        return match ($this) {
            self::ColdDark, self::LeaveIn => 20.0,
            self::SunnySill => 25.0,
            self::WaterBath, self::BlendHeat => 70.0,
            self::HotJar => 60.0,
            self::DirectHeat => 90.0,
        };
    }

    /** °C between which this is still the same way: a cupboard at 30 is, a stove is not. */
    public function heldBetween(): Bounds
    {
        return match ($this) {
            self::ColdDark, self::LeaveIn => new Bounds(0.0, 40.0),
            self::SunnySill => new Bounds(5.0, 50.0),
            self::WaterBath, self::BlendHeat, self::HotJar => new Bounds(40.0, 100.0),
            self::DirectHeat => new Bounds(40.0, 150.0),
        };
    }

    /** Minutes at that temperature, for the heated ways. */
    public function minutes(): float
    {
        return match ($this) {
            self::WaterBath, self::HotJar => 60.0,
            self::BlendHeat => 45.0,
            self::DirectHeat => 10.0,
            default => 0.0,
        };
    }

    public function label(): string
    {
        $label = match ($this) {
            self::ColdDark => new Message('steep.way.cold-dark'),
            self::SunnySill => new Message('steep.way.sunny-sill'),
            self::WaterBath => new Message('steep.way.water-bath'),
            self::HotJar => new Message('steep.way.hot-jar'),
            self::DirectHeat => new Message('steep.way.direct-heat'),
            self::BlendHeat => new Message('steep.way.blend-heat'),
            self::LeaveIn => new Message('steep.way.leave-in'),
        };

        return $label->words();
    }

    /** How much hands and eyes it asks for. */
    public function watching(): string
    {
        $label = match ($this) {
            self::ColdDark => new Message('steep.watch.cold-dark'),
            self::SunnySill => new Message('steep.watch.sunny-sill'),
            self::LeaveIn => new Message('steep.watch.leave-in'),
            self::WaterBath => new Message('steep.watch.water-bath'),
            self::HotJar => new Message('steep.watch.hot-jar'),
            self::DirectHeat => new Message('steep.watch.direct-heat'),
            self::BlendHeat => new Message('steep.watch.blend-heat'),
        };

        return $label->words();
    }

    /** 1 least to 5 most: what can go wrong for hands and oil. */
    public function risk(): int
    {
        return match ($this) {
            self::ColdDark => 1,
            self::SunnySill, self::LeaveIn => 2,
            self::HotJar, self::WaterBath => 3,
            self::BlendHeat => 4,
            self::DirectHeat => 5,
        };
    }
}
