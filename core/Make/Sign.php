<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Words\Message;

/** What is seen or smelt of a jar that has stood for a while. */
enum Sign: string
{
    case BadSmell = 'bad-smell';
    case Colour = 'colour';
    case Separated = 'separated';
    case Mould = 'mould';

    /** Whether nothing of it may be used any more: it is rancid, or something grows in it. */
    public function isBad(): bool
    {
        return $this === self::BadSmell || $this === self::Mould;
    }

    /** @return list<self> after which all jars of the batch are marked */
    public static function bad(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $s): bool => $s->isBad()));
    }

    public function words(): string
    {
        return match ($this) {
            self::BadSmell => Message::said('make.sign.smells-bad'),
            self::Colour => Message::said('make.sign.its-colour-has-changed'),
            self::Separated => Message::said('make.sign.has-separated'),
            self::Mould => Message::said('make.sign.something-grows'),
        };
    }
}
