<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Property;
use Crown\Measure\School;
use Crown\Words\Message;
use JsonSerializable;

/**
 * Where the water comes from, what may be done next, and which preservative would fit in which dose. Method page:
 * docs/methods/preservation.md. As JSON: $defs/WaterPlan in docs/formats/crown.schema.json.
 */
final readonly class WaterPlan implements JsonSerializable
{
    private const USUAL_USE = 1.0;

    public function __construct(private Examined $subject, private Catalogue $catalogue)
    {
    }

    /** @return list<string> what may be done next with water of this class, the first to be preferred */
    public function next(): array
    {
        return match ($this->subject->water->class) {
            null => [Message::said('assessment.water-plan.settle-what-not-known')],
            WaterClass::Dry => [
                Message::said('assessment.water-plan.nothing-more-keep-water'),
            ],
            WaterClass::WetInUse => $this->isWay('always')
                ? [
                    Message::said('assessment.water-plan.preserve-oil'),
                    Message::said('assessment.water-plan.or-keep-dry'),
                ]
                : [
                    Message::said('assessment.water-plan.keep-dry'),
                    Message::said('assessment.water-plan.or-preserve-oil'),
                ],
            WaterClass::Traces => [
                Message::said('assessment.water-plan.show-dry'),
                Message::said('assessment.water-plan.or-preserve-oil'),
                Message::said('assessment.water-plan.as-most-months-kept'),
            ],
            WaterClass::Free => $this->free(),
            WaterClass::Spirit => [
                Message::said('assessment.water-plan.nothing-more-so-much'),
                Message::said('assessment.water-plan.less-than-fifth-alcohol'),
            ],
            WaterClass::Emulsion => [
                Message::said('assessment.water-plan.broad-spectrum-preservative-within'),
                Message::said('assessment.water-plan.sale-challenge-test-by'),
                Message::said('assessment.water-plan.until-tested-most-months'),
            ],
        };
    }

    /** @return list<string> what may be done with free water; freezing first for whoever keeps to it, for herself */
    private function free(): array
    {
        $formula = $this->subject->formula();
        $frozen = Message::said('assessment.water-plan.your-own-use-only');
        $others = [
            Message::said('assessment.water-plan.take-water-out-dry'),
            Message::said('assessment.water-plan.make-emulsion-emulsifier-water'),
        ];

        return $this->isWay('frozen') && ! $formula->forSale && ! $formula->audience->isChild()
            ? [$frozen, 'Or '.lcfirst($others[0]), $others[1]]
            : [...$others, 'Or, for'.substr($frozen, 3)];
    }

    private function isWay(string $option): bool
    {
        return $this->subject->context->kitchen->ways->is(School::Preserving, $option);
    }

    /** @return list<array<string, mixed>> every preservative of the catalogue, those that fit first */
    public function choices(): array
    {
        $base = $this->baseGrams();
        $choices = [];
        $rinsed = $this->subject->formula()->audience->isRinsedOff();
        foreach ($this->catalogue->all() as $ingredient) {
            if (
                $ingredient->kind !== IngredientKind::Preservative
                || $ingredient->preservation->kind === PreservationKind::None
            ) {
                continue;
            }
            $against = $this->against($ingredient);
            $dose = $this->dose($ingredient);
            $share = $dose / 100;
            $choices[] = [
                'id' => $ingredient->id,
                'name' => $ingredient->name,
                'fits' => $against === [],
                'against' => $against,
                'dose_percent' => $dose,
                'grams' => round(($base * $share) / (1 - $share), 3),
                'grams_on_base' => round($base * $share, 3),
                'range_percent' => Preservative::range($ingredient, $rinsed),
                'law_percent' => $ingredient->preservation->law === []
                        ? null
                        : round($ingredient->preservation->law[0]->weighedMaximum($rinsed), 3),
                'ph' => $ingredient->facts->has(Property::Ph) ? $ingredient->facts->get(Property::Ph)->band : null,
                'most_celsius' => $ingredient->facts->has(Property::MaximumAddition)
                    ? $ingredient->facts->get(Property::MaximumAddition)->band->best
                    : null,
            ];
        }
        usort(
            $choices,
            static fn (array $a, array $b): int => [$b['fits'], count($a['against']), $a['name']] <=> [
                $a['fits'],
                count($b['against']),
                $b['name'],
            ],
        );

        return $choices;
    }

    /** The usual dose, per cent of the finished mass, itself included; never over what law allows. */
    private function dose(Ingredient $ingredient): float
    {
        return Preservative::range($ingredient, $this->subject->formula()->audience->isRinsedOff())->best
            ?? self::USUAL_USE;
    }

    /** @return list<string> what speaks against it here */
    private function against(Ingredient $ingredient): array
    {
        $class = $this->subject->water->class;
        $water = $class === WaterClass::Emulsion || $class === WaterClass::Free;
        $against = [];
        if ($ingredient->preservation->kind !== PreservationKind::Broad) {
            $against[] = $ingredient->preservation->kind === PreservationKind::Antioxidant
                    ? Message::said('assessment.water-plan.not-preservative-slows-rancidity')
                    : Message::said('assessment.water-plan.does-not-cover-bacteria');
        }
        if (! Preservative::dissolves($ingredient->preservation->solubility, $class)) {
            $against[] = $water
                ? Message::said('assessment.water-plan.goes-into-oil-only')
                : Message::said('assessment.water-plan.does-not-dissolve-oil');
        }
        if ($class === WaterClass::Free) {
            $against[] = Message::said('assessment.water-plan.water-without-emulsifier-separates');
        }

        return $against;
    }

    /** Grams of all that is not a preservative. */
    private function baseGrams(): float
    {
        $grams = 0.0;
        foreach ($this->subject->composition->counted() as $portion) {
            $grams += $portion->ingredient->kind === IngredientKind::Preservative ? 0.0 : $portion->grams->band->best;
        }

        return $grams;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $water = $this->subject->water;

        return [
            'class' => $water->class?->value,
            'label' => $water->label(),
            'percent' => $water->percent,
            'bearers' => array_map(
                static fn (Portion $p): array => [
                    'line' => $p->line->id,
                    'name' => $p->name(),
                    'percent' => $p->freeWater()->scaled(100),
                ],
                $water->bearers,
            ),
            'emulsifier_percent' => round($water->emulsifierPercent, 3),
            'next' => $this->next(),
            'choices' => $this->choices(),
        ];
    }
}
