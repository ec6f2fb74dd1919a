<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
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
        foreach (Portion::byIngredient($subject->composition->counted()) as $portions) {
            $facts = $portions[0]->ingredient->facts;
            if ($portions[0]->ingredient->kind === IngredientKind::Preservative || ! $facts->has(Property::Use)) {
                continue;
            }
            $share = $subject->composition->shareOf($portions)->scaled(100);
            $range = $facts->get(Property::Use)->band;
            if ($share->best <= $range->high * self::OVER) {
                continue;
            }
            $findings[] = new Finding(
                'dose.over',
                // What is kept from children is strong: more of it is no matter of taste.
                $facts->has(Property::MinimumAge) ? Severity::Stop : Severity::Caution,
                $portions,
                [FigureName::Share->is($share), FigureName::Range->is($range)],
                'load',
                [
                    new Cure(
                        sprintf('Use %g %% of it', $range->best),
                        self::doses($portions, $range->best),
                    ),
                ],
            );
        }

        return $findings;
    }

    /**
     * So much of it in all, each of its lines as much less as the others.
     *
     * @param  non-empty-list<Portion>  $portions
     */
    private static function doses(array $portions, float $percent): Change
    {
        $sum = array_sum(array_map(static fn (Portion $p): float => $p->percent(), $portions));
        $amounts = [];
        foreach ($portions as $portion) {
            $of = $portion->percentOfLineFor($percent * $portion->percent() / $sum);
            $amounts[$portion->line->id] = Amount::percent(round($of, 3))->written;
        }

        return Change::amounts($amounts);
    }
}
