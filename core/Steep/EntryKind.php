<?php

declare(strict_types=1);

namespace Crown\Steep;

/** What can be written into a jar's journal. */
enum EntryKind: string
{
    /** Its colour and smell. */
    case Note = 'note';
    /** The whole jar. */
    case Weighed = 'weighed';
    case Moved = 'moved';
    case Herb = 'herb';
    case Oil = 'oil';
    case Drawn = 'drawn';
    /** The bowl, before and after heating. */
    case Bowl = 'bowl';
    case Sign = 'sign';
    case Settling = 'settling';
    case Ready = 'ready';
    /** Written by straining itself. */
    case Strained = 'strained';

    /** @return list<self> what a maker writes herself */
    public static function written(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $k): bool => $k !== self::Strained));
    }

    /** Whether it may still be written, or taken back, once the jar is strained. */
    public function isForAfterwards(): bool
    {
        return $this === self::Ready || $this === self::Note;
    }

    /** Whether it put something into the jar. */
    public function adds(): bool
    {
        return $this === self::Herb || $this === self::Oil;
    }
}
