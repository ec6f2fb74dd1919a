<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Property;
use Crown\Measure\School;
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
            null => ['Settle what is not known first: until then nobody can say that it is dry.'],
            WaterClass::Dry => [
                'Nothing more. Keep water out of it: dry hands, dry jars, no shower shelf. An antioxidant is advised.',
            ],
            WaterClass::WetInUse => $this->isWay('always')
                ? ['An oil-soluble, broad-spectrum preservative.', 'Or a dry spatula or a pump, and a dry place.']
                : ['A dry spatula or a pump, and a dry place.', 'Or an oil-soluble, broad-spectrum preservative.'],
            WaterClass::Traces => [
                'Show that it is dry.',
                'Or an oil-soluble, broad-spectrum preservative.',
                'As it is: at most 3 months, kept cool.',
            ],
            WaterClass::Free => $this->free(),
            WaterClass::Spirit => [
                'Nothing more: so much alcohol keeps its water. Close it tightly, away from flame and children.',
                'Less than a fifth of alcohol in the water, by volume, keeps nothing.',
            ],
            WaterClass::Emulsion => [
                'A broad-spectrum preservative within its range and its pH.',
                'For sale, a challenge test by a laboratory; local law says which.',
                'Until tested: at most 3 months.',
            ],
        };
    }

    /** @return list<string> what may be done with free water; freezing first for whoever keeps to it, for herself */
    private function free(): array
    {
        $formula = $this->subject->formula();
        $frozen = 'For your own use only, freeze it in portions: 30 days, thawed as needed, never frozen again. Never '
            .'for sale, a child or broken skin.';
        $others = [
            'Take the water out: dry the plant first, or use an oil extract in its place.',
            'Or make it an emulsion: an emulsifier for the water there is, and a broad-spectrum preservative.',
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
                    ? 'not a preservative: it slows rancidity only'
                    : 'does not cover bacteria, yeast and mould alike';
        }
        if (! Preservative::dissolves($ingredient->preservation->solubility, $class)) {
            $against[] = $water
                ? 'goes into the oil only, and it is the water that spoils'
                : 'does not dissolve in oil';
        }
        if ($class === WaterClass::Free) {
            $against[] = 'water without an emulsifier separates, and nothing preserves what separates';
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
