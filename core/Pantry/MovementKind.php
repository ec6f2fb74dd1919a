<?php

declare(strict_types=1);

namespace Crown\Pantry;

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

    private const WORDS = [
        'made' => 'made here',
        'bought' => 'bought',
        'counted' => 'weighed',
        'corrected' => 'more was in it than was thought',
        'steep' => 'into a steep',
        'batch' => 'into a batch',
        'given' => 'given away',
        'sold' => 'sold',
        'opened' => 'opened for use',
        'spoiled' => 'went bad',
        'wasted' => 'spilt or left over',
        'unknown' => 'nobody knows how much there is',
        'gone' => 'gone',
    ];

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
        return self::WORDS[$this->value];
    }
}
