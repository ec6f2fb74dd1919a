<?php

declare(strict_types=1);

namespace Crown\Formula\Checks;

use Crown\Catalogue\Advice;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Audience;
use Crown\Formula\Change;
use Crown\Formula\Check;
use Crown\Formula\Cure;
use Crown\Formula\Examined;
use Crown\Formula\Finding;
use Crown\Formula\Severity;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** Is any ingredient unsuited to a child of this age, or to pregnancy and nursing? */
final readonly class AudienceAdvice implements Check
{
    public function examine(Examined $subject): array
    {
        $audience = $subject->formula()->audience;
        $findings = [];
        foreach ($subject->composition->counted() as $portion) {
            $name = $portion->ingredient->name;
            $out = [new Cure(sprintf('Take out %s', mb_strtolower($name)), Change::remove($portion->line->id))];
            $age = $portion->ingredient->facts->best(Property::MinimumAge, 0.0);
            $years = $audience->youngestYears();
            $infantOil = $audience === Audience::Infant && $portion->ingredient->kind === IngredientKind::EssentialOil;
            if ($age > $years && ! $infantOil) {
                $findings[] = new Finding(
                    'child.avoid',
                    Severity::Stop,
                    [$portion],
                    sprintf('%s is not for children under %g; this is meant for "%s".', $name, $age, $audience->label()),
                    ['minimum age, years' => Band::exact($age)],
                    'load',
                    $out,
                );
            }
            if ($audience === Audience::Pregnancy && $portion->ingredient->pregnancy !== Advice::Ok) {
                $avoid = $portion->ingredient->pregnancy === Advice::Avoid;
                $findings[] = new Finding(
                    'pregnancy.avoid',
                    $avoid ? Severity::Stop : Severity::Caution,
                    [$portion],
                    $avoid
                        ? sprintf('%s is to be avoided in pregnancy and nursing.', $name)
                        : sprintf('%s calls for advice in pregnancy and nursing: ask the clinician first.', $name),
                    ['share, %' => $portion->share->scaled(100)],
                    'load',
                    $out,
                );
            }
        }

        return $findings;
    }
}
