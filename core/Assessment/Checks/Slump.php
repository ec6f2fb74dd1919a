<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\Texture;
use Crown\Formula\ProductKind;

/** Does something meant to stand in its jar slump on a hot day, or fail to stand at all? */
final readonly class Slump implements Check
{
    public const POURS = 8.0;

    public function examine(Examined $subject): array
    {
        if (! $subject->formula()->kind->isSolid() || $subject->composition->counted() === []) {
            return [];
        }
        if ($subject->texture->unknown !== []) {
            return [new Finding('texture.slump', Severity::Note, $subject->texture->unknown, [], 'texture')];
        }
        $hot = $subject->texture->solids(Texture::HOT_DAY);
        $room = $subject->texture->solids(25.0);
        if ($hot->best >= self::POURS) {
            return [];
        }
        $stands = $room->best >= self::POURS;

        return [
            new Finding(
                'texture.slump',
                $subject->formula()->kind === ProductKind::WhippedButter && $stands
                    ? Severity::Note
                    : Severity::Caution,
                [],
                [FigureName::SolidsAt25->is($room), FigureName::SolidsAt32->is($hot)],
                'texture',
            ),
        ];
    }
}
