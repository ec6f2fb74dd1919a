<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Words\Message;

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
            self::Avoid => Message::said('catalogue.advice.not-pregnancy-while-nursing'),
            self::Caution => Message::said('catalogue.advice.pregnancy-while-nursing-ask'),
            self::Ok => null,
        };
    }
}
