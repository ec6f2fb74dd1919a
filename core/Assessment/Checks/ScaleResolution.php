<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Measure\Unit;

/** Can the studio's scale weigh each line to within a tenth? */
final readonly class ScaleResolution implements Check
{
    private const TOLERABLE = 0.1;

    public function examine(Examined $subject): array
    {
        $kitchen = $subject->context->kitchen;
        $sized = $subject->composition->isSized();
        $findings = [];
        foreach ($subject->composition->weighed() as $portion) {
            $unit = $portion->read()->unit;
            // Nobody weighs a share of nothing: what is a proportion is weighed once the batch has a size.
            $proportion = $unit === Unit::Percent || $unit === Unit::Part;
            $weighed = $unit->isMass() || ($proportion && $sized);
            $grams = $portion->grams->band->best;
            $scale = $kitchen->stepFor($grams);
            $uncertain = $scale / 2 / $grams;
            if (! $weighed || $uncertain <= self::TOLERABLE) {
                continue;
            }
            $findings[] = new Finding(
                'scale.resolution',
                Severity::Caution,
                [$portion],
                [
                    FigureName::Grams->is($portion->grams->band),
                    FigureName::Uncertain->exactly($uncertain * 100),
                    FigureName::StepOfScale->exactly($scale),
                    FigureName::TimesAsMuch->exactly(ceil($uncertain / self::TOLERABLE)),
                ],
                'amounts',
            );
        }

        return $findings;
    }
}
