<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;
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
        foreach ($subject->composition->counted() as $portion) {
            $ingredient = $portion->ingredient;
            $solubility = $ingredient->composition->solubility;
            $watery
                = in_array($ingredient->kind, [IngredientKind::Water, IngredientKind::Gel], true)
                || $portion->form() === 'fresh';
            $dissolvesThere = $subject->water->class === WaterClass::Emulsion && $solubility === Solubility::Water;
            if (
                $watery
                || $dissolvesThere
                || ($solubility !== Solubility::Water && $solubility !== Solubility::Insoluble)
            ) {
                continue;
            }
            $plant = $ingredient->kind->isPlant();
            $onPurpose = $ingredient->kind === IngredientKind::Starch;
            $findings[] = new Finding(
                'insoluble.powder',
                $onPurpose ? Severity::Note : Severity::Caution,
                [$portion],
                [FigureName::Share->is($portion->share->scaled(100))],
                'phases',
                $onPurpose
                    ? []
                    : [
                        new Cure(
                            sprintf('Take out %s', Name::inSentence($portion->whole()->ingredient->name)),
                            Change::remove($portion->line->id),
                        ),
                    ],
            );
        }

        return $findings;
    }
}
