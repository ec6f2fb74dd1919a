<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** Where a thing must stand for its date to hold. */
enum Store: string
{
    case Anywhere = 'anywhere';
    case Cool = 'cool';
    case Fridge = 'fridge';

    /** As it stands beside every date that rests on it; null where none does. */
    public function words(): ?string
    {
        return match ($this) {
            self::Anywhere => null,
            self::Cool => 'Keep it cool.',
            self::Fridge => sprintf('Keep it in the fridge, or frozen for up to %d days.', WaterCap::FROZEN_DAYS),
        };
    }
}
