<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Preservative;
use Crown\Assessment\Severity;
use Crown\Measure\Property;

/** Does a preservative that works in the acid alone stand in water of which nobody knows how sour it is? */
final readonly class Acidity implements Check
{
    /** From here on upwards a preservative asks for no measuring. */
    private const ANY = 7.5;

    public function examine(Examined $subject): array
    {
        if (! $subject->water->isSurelyWet()) {
            return [];
        }
        $preservative = Preservative::of($subject->composition);
        $findings = [];
        foreach ($preservative->lines as $portion) {
            if (! $portion->ingredient->facts->has(Property::Ph)) {
                continue;
            }
            $range = $portion->ingredient->facts->get(Property::Ph)->band;
            $alkalis = $preservative->alkalisFor($portion);
            if ($alkalis !== []) {
                $findings[] = new Finding(
                    'preservative.alkali',
                    Severity::Stop,
                    [$portion, ...$alkalis],
                    [FigureName::HighestPh->exactly($range->high)],
                    'preservation',
                );
            } elseif ($range->high < self::ANY) {
                $findings[] = new Finding(
                    'preservative.ph',
                    Severity::Note,
                    [$portion],
                    [FigureName::HighestPh->exactly($range->high)],
                    'preservation',
                );
            }
        }

        return $findings;
    }
}
