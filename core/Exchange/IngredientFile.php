<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Caution;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\Form;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\LegalLimit;
use Crown\Catalogue\Part;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;

/** One ingredient as open JSON: $defs/Ingredient in docs/formats/crown.schema.json. */
final class IngredientFile
{
    /** @return array<string, mixed> */
    public static function write(Ingredient $i, Catalogue $catalogue, float $score): array
    {
        $acids = $i->composition->fattyAcids;
        $share = static fn (float $percent): ?float => $acids->known() ? round($percent, 2) : null;
        $best = static fn (Property $p): ?float => $i->facts->has($p) ? $i->facts->get($p)->band->best : null;

        return [
            'id' => $i->id,
            'name' => $i->name,
            'inci' => $i->inci,
            'kind' => $i->kind->value,
            'matter' => $i->kind->matter(),
            'synonyms' => $i->synonyms,
            'score' => round($score, 3),
            'density_20c' => self::band($i, Property::Density20),
            'density_60c' => self::band($i, Property::Density60),
            'melting_c' => self::band($i, Property::Melting),
            'iodine_value' => $acids->known() ? $acids->iodineValue() : null,
            'saturated' => $share($acids->saturated()),
            'monounsaturated' => $share($acids->monounsaturated()),
            'polyunsaturated' => $share($acids->polyunsaturated()),
            'fatty_acids' => (object) $acids->percent,
            'solid_fat' => $i->composition->solidFat->known() ? (object) $i->composition->solidFat->percent : null,
            'weight' => $best(Property::Weight),
            'life_months' => self::band($i, Property::LifeMonths),
            'allergens' => $i->precautions->allergens,
            'vegan' => $i->vegan,
            'drying' => $i->composition->drying,
            'forms' => (object) array_map(
                static fn (Form $f): object => (object) array_map(
                    static fn (Fact $x): Band => $x->band,
                    $f->facts->all(),
                ),
                $i->forms,
            ),
            'dermal_max' => $best(Property::DermalMax),
            'dermal_max_reason' => $i->precautions->dermalReason,
            'phototoxic' => $i->isPhototoxic(),
            'pregnancy' => $i->precautions->pregnancy->value,
            'pregnancy_reason' => $i->precautions->pregnancyReason ?? '',
            'age_reason' => $i->precautions->ageReason ?? '',
            'ask_first' => array_map(static fn (Condition $c): string => $c->label(), $i->precautions->askFirst),
            'action' => $i->onHair->action->value,
            'feel' => $i->onHair->feel ?? '',
            'blend' => self::blend($i),
            'origin' => $i->provenance->origin->value,
            'corrected' => array_map(
                static fn (Correction $c): string => trim($c->form.' '.$c->property->label()),
                $i->provenance->corrections,
            ),
            'minimum_age_years' => $best(Property::MinimumAge),
            'constituents' => (object) array_map(static fn (Fact $f): Band => $f->band, $i->composition->constituents),
            'preservation' => $i->preservation->kind === PreservationKind::None
                    ? null
                    : [
                        'kind' => $i->preservation->kind->value,
                        'use' => self::band($i, Property::Use),
                        'ph' => self::band($i, Property::Ph),
                        'oil_soluble' => $i->preservation->solubility->value,
                        'law' => array_map(
                            static fn (LegalLimit $l): array => [
                                'maximum' => $l->maximum,
                                'counted_as' => $l->countedAs,
                                'weighed_maximum' => round($l->weighedMaximum(), 3),
                                'source' => $catalogue->source($l->source),
                            ],
                            $i->preservation->law,
                        )[0] ?? null,
                    ],
            'maximum_addition_c' => $best(Property::MaximumAddition),
            'needs' => array_map(
                static fn (Evidence $e): array => [...self::evidence($e), 'source' => $catalogue->source($e->source)],
                $i->evidence,
            ),
            'figures' => self::figures($i, $catalogue),
            'cautions' => array_map(static fn (Caution $c): string => $c->says, $i->precautions->cautions),
            'storage' => $i->storage ?? '',
            'sources' => array_map($catalogue->source(...), $i->provenance->sources),
        ];
    }

    /**
     * @return array{need: string, label: string, grade: int, found: string, on: string, route: string, source: string}
     */
    public static function evidence(Evidence $e): array
    {
        return [
            'need' => $e->need->value,
            'label' => $e->need->label(),
            'grade' => $e->grade,
            'found' => $e->found,
            'on' => $e->on ?? '',
            'route' => $e->route->value,
            'source' => $e->source,
        ];
    }

    /** @return list<array<string, mixed>> every figure with its source in words */
    private static function figures(Ingredient $i, Catalogue $catalogue): array
    {
        $rows = [];
        $sheets = ['' => $i->facts, ...array_map(static fn (Form $f): FactSheet => $f->facts, $i->forms)];
        foreach ($sheets as $form => $sheet) {
            foreach ($sheet->all() as $key => $fact) {
                $rows[] = [
                    'form' => $form,
                    'property' => $key,
                    'label' => Property::from($key)->label(),
                    'unit' => Property::from($key)->unit(),
                    'value' => $fact->band,
                    'estimate' => $fact->isEstimate(),
                    'own' => $fact->isOwn(),
                    'source' => $catalogue->source($fact->said()),
                ];
            }
        }

        return $rows;
    }

    private static function band(Ingredient $i, Property $property): ?Band
    {
        return $i->facts->has($property) ? $i->facts->get($property)->band : null;
    }

    /** @return list<array<string, mixed>> what a ready blend is made of, in per cent of it: $defs/BlendPart */
    public static function blend(Ingredient $ingredient): array
    {
        return array_map(static fn (Part $part): array => [
            'ingredient' => $part->ingredient->id,
            'name' => $part->ingredient->name,
            'percent' => $part->share->scaled(100),
        ], $ingredient->blend);
    }
}
