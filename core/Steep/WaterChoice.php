<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

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
        $label = match ($this) {
            self::Kept => new Message('steep.water.kept'),
            self::DrawnOff => new Message('steep.water.drawn-off'),
            self::FrozenPoured => new Message('steep.water.frozen-poured'),
        };

        return $label->words();
    }
}
