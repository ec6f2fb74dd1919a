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
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\Solubility;
use Crown\Formula\Change;

/** Does something stay as grit, or sink, because oil does not take it up? */
final readonly class InsolublePowder implements Check
{
    public function examine(Examined $subject): array
    {
        $findings = [];
        foreach ($subject->composition->present() as $portion) {
            $ingredient = $portion->ingredient;
            $solubility = $ingredient->composition->solubility;
            $watery
                = in_array($ingredient->kind, [IngredientKind::Water, IngredientKind::Gel], true)
                || $portion->form() === 'fresh';
            $grit = $solubility === Solubility::Insoluble
                || ($solubility === Solubility::Water && ! self::dissolves($portion, $subject));
            if ($watery || ! $grit) {
                continue;
            }
            $plant = $ingredient->kind->isPlant();
            $onPurpose = $ingredient->kind === IngredientKind::Starch;
            $paste = $plant && self::isPaste($portion, $subject);
            $findings[] = new Finding(
                'insoluble.powder',
                $onPurpose || $paste ? Severity::Note : Severity::Caution,
                [$portion],
                [FigureName::Share->is($portion->share->scaled(100))],
                'phases',
                $onPurpose || $paste
                    ? []
                    : [
                        new Cure(
                            sprintf('Take out %s', Name::inSentence($portion->whole()->ingredient->name)),
                            Change::remove($portion->line->id),
                        ),
                    ],
                said: new Said([
                    match (true) {
                        $paste => 'paste',
                        $plant && self::isStrained($subject) => 'strained',
                        default => 'grit',
                    },
                ]),
            );
        }

        return $findings;
    }

    /** Whether there is water or alcohol enough, free or in an emulsion, for a thing that dissolves in it. */
    private static function dissolves(Portion $portion, Examined $subject): bool
    {
        $water = $subject->water;

        return $water->isSurelyWet() && $water->percent->best + $water->ethanolPercent >= $portion->percent();
    }

    /** Whether a plant is stirred with so much water that it is used at once, as henna is. */
    private static function isPaste(Portion $portion, Examined $subject): bool
    {
        return $subject->water->isSurelyWet() && $subject->water->percent->best >= $portion->percent() / 2;
    }

    /** Whether the method strains: then what is said of the plant holds of what is poured off. */
    private static function isStrained(Examined $subject): bool
    {
        foreach ($subject->formula()->steps as $step) {
            if (in_array($step->act, ['strain', 'infuse', 'steep'], true)) {
                return true;
            }
        }

        return false;
    }
}
