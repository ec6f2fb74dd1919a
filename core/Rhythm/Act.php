<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Words\Message;

/** What a day of a routine asks for. */
enum Act: string
{
    case PatchTest = 'patch-test';
    case PatchReading = 'patch-reading';
    case Application = 'application';

    public function words(string $product): string
    {
        return match ($this) {
            self::PatchTest => Message::said('rhythm.act.patch-test-smear-on', ['product' => $product]),
            self::PatchReading => Message::said('rhythm.act.read-patch-test-redness', ['product' => $product]),
            self::Application => Message::said('rhythm.act.apply', ['product' => $product]),
        };
    }
}
