<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
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
                ? 'conditioner'
                : null,
            ProductKind::Emulsion => $subject->water->percent->best < 10.0 ? 'water' : null,
            ProductKind::ScalpOil, ProductKind::HairOil, ProductKind::SealingOil, ProductKind::HotOil => array_filter(
                $composition->counted(),
                static fn (Portion $p): bool => $p->ingredient->kind->isFat(),
            ) === []
                ? 'oil'
                : null,
            default => null,
        };
        if ($missing === null) {
            return [];
        }

        return [
            new Finding(
                'purpose',
                Severity::Caution,
                [],
                [],
                'phases',
                said: new Said([$subject->formula()->kind->value, $missing]),
            ),
        ];
    }
}
