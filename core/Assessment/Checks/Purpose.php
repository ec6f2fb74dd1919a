<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Formula\Change;
use Crown\Formula\ProductKind;
use Crown\Measure\Amount;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Is there anything in it that does what this kind of product is for? */
final readonly class Purpose implements Check
{
    private const IN_SHOPS = 2;

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
                $missing === 'conditioner' ? self::conditioner($subject) : [],
                said: new Said([$subject->formula()->kind->value, $missing]),
            ),
        ];
    }

    /**
     * The conditioning agents that shops have, each at the middle of its range for this kind of product.
     *
     * @return list<Cure>
     */
    private static function conditioner(Examined $subject): array
    {
        $bar = $subject->formula()->kind === ProductKind::ConditionerBar;
        $cures = [];
        foreach ($subject->context->catalogue->all() as $agent) {
            $range = $bar && $agent->facts->has(Property::UseInBar) ? Property::UseInBar : Property::Use;
            if (
                $agent->kind !== IngredientKind::Conditioning
                || $agent->common < self::IN_SHOPS
                || ! $agent->facts->has($range)
            ) {
                continue;
            }
            $percent = Amount::number(round($agent->facts->get($range)->band->best)).' %';
            $cures[] = new Cure(
                Message::said('assessment.purpose.put', [
                    'percent' => $percent,
                    'agent' => Name::inSentence($agent->name),
                ]),
                Change::add($agent->id, $percent),
            );
        }

        return $cures;
    }
}
