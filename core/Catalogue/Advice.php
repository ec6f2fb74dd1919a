<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Advice for pregnancy and nursing. */
enum Advice: string
{
    case Ok = 'ok';
    case Caution = 'caution';
    case Avoid = 'avoid';

    /** In a sentence; null when there is nothing to advise. */
    public function words(): ?string
    {
        return match ($this) {
            self::Avoid => 'Not in pregnancy or while nursing.',
            self::Caution => 'In pregnancy or while nursing ask first.',
            self::Ok => null,
        };
    }
}
