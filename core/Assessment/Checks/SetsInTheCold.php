<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\Texture;

/** Does something meant to pour set in a cool room, as an oil with much coconut does? */
final readonly class SetsInTheCold implements Check
{
    /** °C of a cool room, and of a warm one. */
    private const COOL = 18.0;

    public function examine(Examined $subject): array
    {
        $texture = $subject->texture;
        if ($subject->formula()->kind->isSolid() || ! $texture->hasCurves()) {
            return [];
        }
        $sets = $texture->solids(self::COOL)->best >= Texture::POURS
            && $texture->solids(Texture::HOT_DAY)->best < Texture::POURS;

        return $sets
            ? [
                new Finding(
                    'texture.sets',
                    Severity::Note,
                    [],
                    [FigureName::PoursFrom->exactly($texture->poursFrom())],
                    'texture',
                ),
            ]
            : [];
    }
}
