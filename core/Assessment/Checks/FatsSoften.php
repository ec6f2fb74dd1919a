<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Eutectic;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;

/** Do fats of the cocoa kind and lauric fats soften each other by so much that it is felt? */
final readonly class FatsSoften implements Check
{
    /** Part of their solids from which it is felt. */
    private const FELT = 0.1;

    public function examine(Examined $subject): array
    {
        $lost = 1 - $subject->texture->eutectic->factor(25.0)->best;
        if ($lost < self::FELT || ! $subject->formula()->kind->isSolid()) {
            return [];
        }
        $fats = array_values(
            array_filter(
                $subject->composition->counted(),
                static fn (Portion $p): bool => Eutectic::concerns($p->ingredient),
            ),
        );

        return [
            new Finding(
                'texture.soften',
                Severity::Note,
                $fats,
                [FigureName::SolidsLost->exactly(100 * $lost)],
                'texture',
            ),
        ];
    }
}
