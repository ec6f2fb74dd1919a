<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;

/** Is there anything in it that does what this kind of product is for? */
final readonly class Purpose implements Check
{
    public function examine(Examined $subject): array
    {
        $composition = $subject->composition;
        if ($composition->counted() === []) {
            return [];
        }
        $missing = match ($subject->formula()->kind) {
            ProductKind::ConditionerBar, ProductKind::RinseOutBalm => $composition->ofKind(
                IngredientKind::Conditioning,
            ) === []
                ? 'no conditioning agent: fats alone stay on the hair as grease instead of rinsing to a slip'
                : '',
            ProductKind::Emulsion => $subject->water->percent->best < 10.0
                ? 'hardly any water: what is without it is an oil or a butter, and is better called so'
                : '',
            ProductKind::ScalpOil, ProductKind::HairOil, ProductKind::SealingOil, ProductKind::HotOil => array_filter(
                $composition->counted(),
                static fn (Portion $p): bool => $p->ingredient->kind->isFat(),
            ) === []
                ? 'no oil'
                : '',
            default => '',
        };
        if ($missing === '') {
            return [];
        }

        return [
            new Finding(
                'purpose',
                Severity::Caution,
                [],
                sprintf('For a %s there is %s.', lcfirst($subject->formula()->kind->label()), $missing),
                [],
                'phases',
                about: [$subject->formula()->kind->value, $missing],
            ),
        ];
    }
}
