<?php

declare(strict_types=1);

namespace Crown\Make;

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
            self::BadSmell => 'it smells bad',
            self::Colour => 'its colour has changed',
            self::Separated => 'it has separated',
            self::Mould => 'something grows in it',
        };
    }
}
