<?php

declare(strict_types=1);

namespace Crown\Rhythm;

/** What a day of a routine asks for. */
enum Act: string
{
    case PatchTest = 'patch-test';
    case PatchReading = 'patch-reading';
    case Application = 'application';

    public function words(string $product): string
    {
        return match ($this) {
            self::PatchTest => sprintf(
                'Patch test %s: a smear on the inner arm or behind the ear, left for 48 hours.',
                $product,
            ),
            self::PatchReading => sprintf(
                'Read the patch test of %s. Redness, swelling or itch: wash it off and do not use it.',
                $product,
            ),
            self::Application => sprintf('Apply %s.', $product),
        };
    }
}
