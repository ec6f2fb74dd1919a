<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Place;

/** Where a thing must stand for its date to hold. */
enum Store: string
{
    /** °C up to which a place is a fridge or a cold cellar. */
    private const COOL_AT_MOST = 12.0;

    case Anywhere = 'anywhere';
    case Cool = 'cool';
    /** The fridge lengthens what its oils have left. */
    case Chilled = 'chilled';
    case Fridge = 'fridge';
    case Frozen = 'frozen';

    /** Where something stands at a temperature, °C, and lasts the longer for it. */
    public static function at(float $celsius): self
    {
        return match (true) {
            $celsius <= Place::FROZEN => self::Frozen,
            $celsius <= self::COOL_AT_MOST => self::Chilled,
            default => self::Anywhere,
        };
    }

    /** As it stands beside every date that rests on it; null where none does. */
    public function words(): ?string
    {
        return match ($this) {
            self::Anywhere => null,
            self::Cool => 'Keep it cool.',
            self::Chilled => 'Keep it in the fridge: its date rests on that.',
            self::Frozen => sprintf(
                'Keep it frozen. Once thawed, in the fridge and at most %d days.',
                WaterCap::FREE_DAYS,
            ),
            self::Fridge => sprintf('Keep it in the fridge, or frozen for up to %d days.', WaterCap::FROZEN_DAYS),
        };
    }
}
