<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Formula\ProductKind;

/** Can a butter that is meant to be whipped take air, and at what temperature of the bowl? */
final readonly class Whip implements Check
{
    public function examine(Examined $subject): array
    {
        $composition = $subject->composition;
        if (
            $subject->formula()->kind !== ProductKind::WhippedButter
            || ! $subject->texture->hasCurves()
            || $composition->counted() === []
        ) {
            return [];
        }
        if ($subject->whipping()->isPossible()) {
            return [];
        }
        $soft = $subject->texture->solids(10.0)->best < 35.0;

        return [
            new Finding(
                'texture.whip',
                Severity::Caution,
                [],
                [
                    FigureName::SolidsAt10->is($subject->texture->solids(10.0)),
                    FigureName::SolidsAt40->is($subject->texture->solids(40.0)),
                ],
                'texture',
                said: new Said([$soft ? 'soft' : 'hard']),
            ),
        ];
    }
}
