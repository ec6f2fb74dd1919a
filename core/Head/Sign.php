<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Words\Message;

/** Signs that a clinician should see before any formula. */
enum Sign: string
{
    case SuddenLoss = 'sudden-loss';
    case PatchyLoss = 'patchy-loss';
    case Pain = 'pain';
    case Sores = 'sores';
    case Fever = 'fever';
    case SpreadingRash = 'spreading-rash';

    public function label(): string
    {
        return match ($this) {
            self::SuddenLoss => Message::said('head.sign.sudden-loss'),
            self::PatchyLoss => Message::said('head.sign.bare-patches'),
            self::Pain => Message::said('head.sign.pain'),
            self::Sores => Message::said('head.sign.sores'),
            self::Fever => Message::said('head.sign.fever'),
            self::SpreadingRash => Message::said('head.sign.spreading-rash'),
        };
    }
}
