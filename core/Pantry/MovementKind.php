<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Words\Message;

/** Why grams came to a lot, or left it. */
enum MovementKind: string
{
    /** It was strained, drawn or finished here. */
    case Made = 'made';
    case Bought = 'bought';
    /** What stands there was weighed or estimated: the difference to what was thought. */
    case Counted = 'counted';
    /** More was taken than was thought to be there: so much more was in it. */
    case Corrected = 'corrected';
    case Steep = 'steep';
    case Batch = 'batch';
    case Given = 'given';
    case Sold = 'sold';
    /** A jar was taken from the shelf to be used here. */
    case Opened = 'opened';
    /** It went bad. */
    case Spoiled = 'spoiled';
    /** It was spilt, or stayed in a spoon. */
    case Wasted = 'wasted';
    /** Nobody knows any more how much there is. */
    case Unknown = 'unknown';
    /** It is not there any more. */
    case Gone = 'gone';

    /** Whether a person says it of a lot; the others follow from what is made here. */
    public function isSaid(): bool
    {
        return match ($this) {
            self::Counted, self::Given, self::Sold, self::Opened, self::Spoiled, self::Wasted => true,
            default => false,
        };
    }

    public function words(): string
    {
        return Message::said('pantry.movement', ['kind' => $this->value]);
    }
}
