<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;

/** Butters rich in stearic and oleic fat set in grains when they cool slowly. */
final readonly class Graininess implements Check
{
    /** Share of the whole from which grains are felt. */
    private const FELT = 0.2;

    /**
     * Per cent of stearic acid that makes a butter shea-like; cocoa butter and its kin are too hard to be felt as
     * grains.
     */
    private const STEARIC = 30.0;

    private const SOFT_AT_30 = 40.0;

    public function examine(Examined $subject): array
    {
        if (! $subject->formula()->kind->isSolid()) {
            return [];
        }
        $grainy = array_values(
            array_filter(
                $subject->composition->ofKind(IngredientKind::Butter),
                static fn (Portion $p): bool => $p->ingredient->composition->fattyAcids->share('stearic')
                    >= self::STEARIC && $p->ingredient->composition->solidFat->at(30.0) <= self::SOFT_AT_30,
            ),
        );
        if ($grainy === []) {
            return [];
        }
        $share = $subject->composition->shareOf($grainy);
        if ($share->best < self::FELT) {
            return [];
        }

        return [
            new Finding(
                'texture.grainy',
                Severity::Note,
                $grainy,
                [FigureName::GrainyButters->is($share->scaled(100))],
                'texture',
            ),
        ];
    }
}
