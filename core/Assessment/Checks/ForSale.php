<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;

/** Is it meant for sale, and what does that ask for beyond making it? */
final readonly class ForSale implements Check
{
    public function examine(Examined $subject): array
    {
        if (! $subject->formula()->forSale || $subject->composition->counted() === []) {
            return [];
        }
        $findings = [new Finding('sale.law', Severity::Note, [], [], 'label')];
        if ($subject->water->class === WaterClass::Emulsion || $subject->water->class === WaterClass::Traces) {
            $findings[] = new Finding(
                'sale.challenge-test',
                Severity::Caution,
                $subject->water->bearers,
                [FigureName::Water->is($subject->water->percent)],
                'preservation',
            );
        }

        return $findings;
    }
}
