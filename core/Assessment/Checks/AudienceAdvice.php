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
use Crown\Catalogue\Advice;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Formula\Audience;
use Crown\Formula\Change;
use Crown\Measure\Property;

/** Is any ingredient unsuited to a child of this age, or to pregnancy and nursing? */
final readonly class AudienceAdvice implements Check
{
    public function examine(Examined $subject): array
    {
        $audience = $subject->formula()->audience;
        $findings = [];
        foreach ($subject->composition->possible() as $portion) {
            $why = $audience->excludes($portion->ingredient);
            // That no essential oil is for an infant is said of all of them at once (EssentialOilTotal).
            $said = $audience === Audience::Infant && $portion->ingredient->kind === IngredientKind::EssentialOil;
            $pregnant = $audience === Audience::Pregnancy;
            if ($why !== null && ! $said) {
                $findings[] = new Finding(
                    $pregnant ? 'pregnancy.avoid' : 'child.avoid',
                    Severity::Stop,
                    [$portion],
                    $pregnant
                        ? [FigureName::Share->is($portion->share->scaled(100))]
                        : [
                            FigureName::LeastAge->exactly($portion->ingredient->facts->best(Property::MinimumAge, 0.0)),
                        ],
                    'load',
                    self::without($portion),
                    said: new Said($pregnant ? [] : [$audience->value]),
                );
            } elseif ($pregnant && $portion->ingredient->precautions->pregnancy !== Advice::Ok) {
                $findings[] = new Finding(
                    'pregnancy.avoid',
                    Severity::Caution,
                    [$portion],
                    [FigureName::Share->is($portion->share->scaled(100))],
                    'load',
                    self::without($portion),
                );
            }
        }

        return $findings;
    }

    /** @return list<Cure> */
    private static function without(Portion $portion): array
    {
        $name = Name::inSentence($portion->whole()->ingredient->name);

        return [new Cure('Take out '.$name, Change::remove($portion->line->id))];
    }
}
