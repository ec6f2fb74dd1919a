<?php

declare(strict_types=1);

namespace Crown\Head;

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
            self::SuddenLoss => 'sudden loss',
            self::PatchyLoss => 'bare patches',
            self::Pain => 'pain',
            self::Sores => 'sores',
            self::Fever => 'fever',
            self::SpreadingRash => 'a spreading rash',
        };
    }
}
