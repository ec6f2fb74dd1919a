<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Change;
use Crown\Measure\Amount;
use Crown\Measure\Property;

/** Is there more of a line than its range of use? Preservatives have a check of their own. */
final readonly class DoseRange implements Check
{
    /** What is over by less is a matter of rounding. */
    private const OVER = 1.05;

    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->counted() as $portion) {
            $facts = $portion->ingredient->facts;
            if (
                $portion->ingredient->kind === IngredientKind::Preservative
                || ! $facts->has(Property::Use)
                || $portion->percent() <= $facts->get(Property::Use)->band->high * self::OVER
            ) {
                continue;
            }
            $range = $facts->get(Property::Use)->band;
            $findings[] = new Finding(
                'dose.over',
                // What is kept from children is strong: more of it is no matter of taste.
                $facts->has(Property::MinimumAge) ? Severity::Stop : Severity::Caution,
                [$portion],
                ['share, %' => $portion->share->scaled(100), 'range, %' => $range],
                'load',
                [
                    new Cure(
                        sprintf('Use %g %% of it', $range->best),
                        Change::amounts([$portion->line->id => Amount::percent($range->best)->written]),
                    ),
                ],
            );
        }

        return $findings;
    }
}
