<?php

declare(strict_types=1);

namespace Crown\Steep;

/** What was done about water that the weighing test did not show driven off. */
enum WaterChoice: string
{
    /** Nothing: the lot bears its water from then on. */
    case Kept = 'kept';
    /** Settled, and drawn off from the top leaving the last centimetre. */
    case DrawnOff = 'drawn-off';
    /** Frozen, and the oil poured off the ice. */
    case FrozenPoured = 'frozen-poured';

    public function label(): string
    {
        return match ($this) {
            self::Kept => 'Treat it as bearing water',
            self::DrawnOff => 'Settled, drawn off, the last centimetre left',
            self::FrozenPoured => 'Frozen, and the oil poured off',
        };
    }
}
