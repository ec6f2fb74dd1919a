<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Change;
use Crown\Formula\ProductKind;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** Is there more of a line than its range of use? Preservatives have a check of their own. */
final readonly class DoseRange implements Check
{
    /** What is over by less is a matter of rounding. */
    private const OVER = 1.05;

    /** The least share that is written, per cent. */
    private const LEAST = 0.001;

    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach (Portion::byIngredient($subject->composition->counted()) as $portions) {
            $range = self::range($portions[0]->ingredient, $subject->formula()->kind);
            if ($range === null) {
                continue;
            }
            // What is kept from children is strong: more of it is no matter of taste, and its worst case counts.
            $strong = $portions[0]->ingredient->facts->has(Property::MinimumAge);
            $share = $subject->composition->shareOf($portions)->scaled(100);
            if (($strong ? $share->high : $share->best) <= $range->high * self::OVER) {
                continue;
            }
            $findings[] = new Finding(
                'dose.over',
                $strong ? Severity::Stop : Severity::Caution,
                $portions,
                [FigureName::Share->is($share), FigureName::Range->is($range)],
                'load',
                [
                    new Cure(
                        sprintf('Use %g %% of it', $range->best),
                        self::doses($portions, $range->best),
                    ),
                ],
                said: new Said($share->best <= $range->high * self::OVER ? ['at worst'] : []),
            );
        }

        return $findings;
    }

    /** Its range in this kind of product, per cent; null where none is known. Preservatives have their own check. */
    private static function range(Ingredient $ingredient, ProductKind $kind): ?Band
    {
        $solid = $kind === ProductKind::ConditionerBar || $kind === ProductKind::RinseOutBalm;
        $property = $solid && $ingredient->facts->has(Property::UseInBar) ? Property::UseInBar : Property::Use;

        return $ingredient->kind === IngredientKind::Preservative || ! $ingredient->facts->has($property)
            ? null
            : $ingredient->facts->get($property)->band;
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
            $amounts[$portion->line->id] = Amount::percent(max(self::LEAST, round($of, 3)))->written;
        }

        return Change::amounts($amounts);
    }
}
