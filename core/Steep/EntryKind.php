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
