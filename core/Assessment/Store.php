<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Place;
use Crown\Words\Message;

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
            self::Cool => Message::said('assessment.store.keep-cool'),
            self::Chilled => Message::said('assessment.store.keep-fridge-its-date'),
            self::Frozen => Message::said('assessment.store.keep-frozen-once-thawed', [
                'freedays' => WaterCap::FREE_DAYS,
            ]),
            self::Fridge => Message::said('assessment.store.keep-fridge-frozen-up', [
                'frozendays' => WaterCap::FROZEN_DAYS,
            ]),
        };
    }
}
