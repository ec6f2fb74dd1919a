<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
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
        $findings = [
            new Finding(
                'sale.law',
                Severity::Note,
                [],
                'For sale: cosmetics law, a product-safety assessment, notification and labelling are yours to check '
                    .'with the authorities and qualified people where you sell.',
                [],
                'label',
            ),
        ];
        if ($subject->water->class === WaterClass::Emulsion || $subject->water->class === WaterClass::Traces) {
            $findings[] = new Finding(
                'sale.challenge-test',
                Severity::Caution,
                $subject->water->bearers,
                'It holds water, so its preservation must pass a challenge test in a laboratory before it is sold.',
                ['water, %' => $subject->water->percent],
                'preservation',
            );
        }

        return $findings;
    }
}
