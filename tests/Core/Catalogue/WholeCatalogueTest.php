<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Catalogue\Advice;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Route;
use Crown\Catalogue\SolidFat;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;
use Tests\Core\CoreTestCase;

/** What must hold of every entry. Each message names the file, so that whoever broke it knows where to look. */
final class WholeCatalogueTest extends CoreTestCase
{
    /** @return array<string, int> */
    private static function counts(): array
    {
        return array_count_values(
            array_map(static fn (Ingredient $i): string => $i->kind->value, array_values(self::catalogue()->all())),
        );
    }

    public function test_the_cupboard_of_the_craft_is_full(): void
    {
        $counts = self::counts();
        $sum = static fn (string ...$kinds): int => array_sum(array_intersect_key($counts, array_flip($kinds)));

        self::assertGreaterThanOrEqual(480, array_sum($counts));
        self::assertGreaterThanOrEqual(80, $sum('carrier-oil', 'liquid-wax-ester'));
        self::assertGreaterThanOrEqual(24, $sum('butter'));
        self::assertGreaterThanOrEqual(18, $sum('wax'));
        self::assertGreaterThanOrEqual(110, $sum('fresh-plant', 'dried-herb', 'powder'));
        self::assertGreaterThanOrEqual(80, $sum('essential-oil'));
        self::assertGreaterThanOrEqual(24, $sum('preservative', 'antioxidant'));
        self::assertGreaterThanOrEqual(
            80,
            $sum(
                'emulsifier',
                'conditioning-agent',
                'humectant',
                'starch',
                'gel',
                'water',
                'water-soluble-active',
                'oil-soluble-active',
            ),
        );
        foreach (
            [
                'castor oil',
                'roasted castor oil',
                'jojoba',
                'saw palmetto',
                'fenugreek',
                'amla',
                'hibiscus',
                'prickly pear seed oil',
                'rice bran oil',
                'kokum butter',
                'cupuaçu butter',
                'candelilla',
                'behentrimonium methosulfate',
                'dimethyl sulfone',
                'radish seed extract',
                'wintergreen oil',
                'oregano oil',
                'vodka',
                'lemon juice',
                'coconut water',
                'multani mitti',
                'black soap',
                'ambunu',
                'petroleum jelly',
                'cetrimonium chloride',
                'hydrolyzed silk',
                'methylparaben',
                'citric acid',
            ] as $name
        ) {
            self::assertGreaterThan(0.85, self::catalogue()->search($name)[0]->score ?? 0.0, $name);
        }
    }

    public function test_every_figure_names_a_source_that_is_listed_or_is_an_estimate_with_a_band(): void
    {
        $sources = self::catalogue()->sources();
        foreach (self::catalogue()->all() as $i) {
            $sheets = [$i->facts, ...array_map(static fn ($f): FactSheet => $f->facts, array_values($i->forms))];
            foreach ($sheets as $sheet) {
                foreach ($sheet->all() as $key => $fact) {
                    self::assertTrue(
                        $fact->source === Fact::ESTIMATE || isset($sources[$fact->source]),
                        "$i->id: $key",
                    );
                }
            }
            foreach ($i->evidence as $evidence) {
                self::assertTrue(
                    isset($sources[$evidence->source]) || in_array($evidence->source, ['tradition', 'estimate'], true),
                    "$i->id: {$evidence->need->value}",
                );
            }
        }
    }

    public function test_every_source_is_used_and_dated(): void
    {
        $used = [];
        foreach (self::catalogue()->all() as $i) {
            $used = [
                ...$used,
                ...$i->provenance->sources,
                ...array_map(static fn ($e): string => $e->source, $i->evidence),
                $i->onHair->source,
            ];
        }
        foreach (self::catalogue()->limits() as $limit) {
            $used[] = $limit->source;
        }
        foreach (self::catalogue()->sources() as $id => $words) {
            self::assertContains($id, $used, $id.' is cited nowhere');
            self::assertGreaterThan(30, strlen($words), $id);
        }
    }

    public function test_iodine_value_from_the_fatty_acids_lies_in_the_published_range(): void
    {
        $tried = 0;
        foreach (self::catalogue()->all() as $i) {
            if ($i->composition->fattyAcids->known()) {
                self::assertEqualsWithDelta(
                    100.0,
                    $i->composition->fattyAcids->sum(),
                    3.0,
                    $i->id.': fatty acids add up',
                );
                self::assertEqualsWithDelta(
                    $i->composition->fattyAcids->sum(),
                    $i->composition->fattyAcids->saturated()
                        + $i->composition->fattyAcids->monounsaturated()
                        + $i->composition->fattyAcids->polyunsaturated(),
                    0.01,
                    $i->id,
                );
            }
            if ($i->composition->fattyAcids->known() && $i->facts->has(Property::IodineValue)) {
                $range = $i->facts->get(Property::IodineValue)->band;
                $value = $i->composition->fattyAcids->iodineValue()->best;
                self::assertTrue(
                    $range->contains($value),
                    sprintf('%s: %.1f, published %g to %g', $i->id, $value, $range->low, $range->high),
                );
                $tried++;
            }
        }
        self::assertGreaterThanOrEqual(60, $tried);
    }

    public function test_density_melting_and_solid_fat_agree(): void
    {
        foreach (self::catalogue()->all() as $i) {
            if ($i->facts->has(Property::Density20) && $i->facts->has(Property::Density60)) {
                $loss = $i->facts->best(Property::Density20, 0) - $i->facts->best(Property::Density60, 0);
                self::assertTrue(
                    $loss > 0.0 && $loss < 0.06,
                    sprintf('%s: density falls by %.3f from 20 to 60 °C', $i->id, $loss),
                );
            }
            if ($i->kind === IngredientKind::CarrierOil) {
                $density = $i->facts->best(Property::Density20, 0);
                self::assertTrue($density > 0.89 && $density < 0.97, $i->id.': a plant oil\'s density');
            }
            if (
                $i->composition->solidFat->known()
                && $i->facts->has(Property::Melting)
                && $i->kind->isMelted()
                && $i->kind !== IngredientKind::Wax
            ) {
                $melting = $i->facts->get(Property::Melting)->band;
                // Curves are straight lines between their points: the next point above the range is looked at.
                $above = array_filter(SolidFat::TEMPERATURES, static fn (int $t): bool => $t >= $melting->high);
                if ($above !== []) {
                    self::assertLessThanOrEqual(
                        6.0,
                        $i->composition->solidFat->at(min($above)),
                        $i->id.': nearly all liquid above its melting range',
                    );
                }
                if ($melting->low >= 30.0) {
                    self::assertGreaterThanOrEqual(
                        15.0,
                        $i->composition->solidFat->at(20.0),
                        $i->id.': partly solid well under its melting range',
                    );
                }
            }
        }
    }

    public function test_drying_oils_are_those_rich_in_three_double_bonds_or_very_rich_in_two(): void
    {
        foreach (self::catalogue()->all() as $i) {
            if ($i->composition->fattyAcids->known() && $i->kind === IngredientKind::CarrierOil) {
                $threes
                    = $i->composition->fattyAcids->share('linolenic')
                    + $i->composition->fattyAcids->share('punicic')
                    + $i->composition->fattyAcids->share('eleostearic')
                    + $i->composition->fattyAcids->share('gamma-linolenic')
                    + $i->composition->fattyAcids->share('stearidonic');
                if ($threes >= 20.0 || $i->composition->fattyAcids->iodineValue()->best >= 150.0) {
                    self::assertTrue($i->composition->drying, $i->id.' dries: say so');
                }
                if ($i->composition->fattyAcids->iodineValue()->best < 110.0) {
                    self::assertFalse($i->composition->drying, $i->id.' does not dry');
                }
            }
        }
    }

    public function test_oils_that_spoil_fast_are_the_unsaturated_ones(): void
    {
        foreach (self::catalogue()->all() as $i) {
            if ($i->kind === IngredientKind::CarrierOil && $i->composition->fattyAcids->polyunsaturated() >= 70.0) {
                self::assertLessThanOrEqual(9.0, $i->facts->best(Property::LifeMonths, 99), $i->id);
            }
        }
    }

    public function test_essential_oils_state_constituents_limits_and_cautions_with_their_basis(): void
    {
        foreach (self::catalogue()->all() as $i) {
            if ($i->kind !== IngredientKind::EssentialOil) {
                continue;
            }
            self::assertGreaterThanOrEqual(1, count($i->composition->constituents), $i->id.': constituents');
            self::assertLessThanOrEqual(
                101.0,
                array_sum(array_map(static fn (Fact $f): float => $f->band->best, $i->composition->constituents)),
                $i->id.': constituents are parts of a whole',
            );
            self::assertTrue($i->facts->has(Property::DermalMax), $i->id.': dermal maximum');
            self::assertNotNull($i->precautions->dermalReason, $i->id.': reason of the maximum');
            self::assertNotNull($i->precautions->ageReason, $i->id.': basis of the minimum age');
            if ($i->isPhototoxic()) {
                self::assertLessThanOrEqual(
                    $i->facts->best(Property::PhototoxicMax, 0),
                    $i->facts->best(Property::DermalMax, 0),
                    $i->id,
                );
            }
            // A restricted constituent must never reach its limit while the oil stays under its own maximum, worst case
            // apart.
            foreach (self::catalogue()->limits() as $name => $limit) {
                if (isset($i->composition->constituents[$name]) && $name !== 'methyl eugenol') {
                    self::assertLessThanOrEqual(
                        $limit->leaveOn * 1.75,
                        ($i->facts->best(Property::DermalMax, 0) * $i->composition->constituents[$name]->band->best)
                            / 100,
                        sprintf('%s at its maximum brings too much %s', $i->id, $name),
                    );
                }
            }
        }
    }

    public function test_cautions_state_their_basis(): void
    {
        foreach (self::catalogue()->all() as $i) {
            self::assertSame(
                $i->precautions->pregnancy === Advice::Ok,
                $i->precautions->pregnancyReason === null,
                $i->id.': the pregnancy advice states its basis',
            );
            if ($i->facts->has(Property::MinimumAge)) {
                self::assertNotNull($i->precautions->ageReason, $i->id.': the minimum age states its basis');
            }
            foreach ($i->evidence as $e) {
                self::assertStringEndsWith('.', $e->found, $i->id);
                if ($e->grade >= 2 || $e->route !== Route::Applied) {
                    self::assertNotSame('', $e->on, "$i->id: {$e->need->value}: on whom");
                }
                if ($e->grade === 3) {
                    self::assertNotContains(
                        $e->source,
                        ['tradition', 'estimate'],
                        "$i->id: {$e->need->value}: a trial has a source",
                    );
                }
            }
        }
    }

    public function test_units_of_law_are_kept_straight(): void
    {
        $sorbate = self::catalogue()->get('potassium-sorbate')->preservation->law[0];
        // 0.6 % as sorbic acid (112.13 g/mol) is 0.80 % of the salt (150.22 g/mol).
        self::assertEqualsWithDelta(112.13 / 150.22, $sorbate->share, 0.001);
        self::assertEqualsWithDelta(0.804, $sorbate->weighedMaximum(), 0.001);
        $benzoate = self::catalogue()->get('sodium-benzoate')->preservation->law[0];
        self::assertEqualsWithDelta(122.12 / 144.11, $benzoate->share, 0.001);
        foreach (self::catalogue()->all() as $i) {
            foreach ($i->preservation->law as $law) {
                self::assertLessThanOrEqual(
                    $law->weighedMaximum() + 0.01,
                    $i->facts->get(Property::Use)->band->high,
                    $i->id.': the range of use stays inside the law',
                );
            }
            if ($i->preservation->kind !== PreservationKind::None) {
                self::assertTrue($i->facts->has(Property::Use), $i->id);
            }
        }
    }

    public function test_plants_say_what_each_form_holds(): void
    {
        foreach (self::catalogue()->all() as $i) {
            foreach ($i->kind->isPlant() ? $i->forms : [] as $form) {
                self::assertContains($form->name, ['fresh', 'dried', 'cut', 'powder', 'seed'], $i->id);
                foreach (
                    [
                        Property::BulkDensity,
                        Property::Moisture,
                        Property::Retention,
                        $form->name === 'fresh' ? Property::Release : Property::Reuse,
                    ] as $property
                ) {
                    self::assertTrue($form->facts->has($property), "$i->id, $form->name: {$property->label()}");
                }
            }
        }
    }

    public function test_what_lies_on_the_hair_says_how(): void
    {
        foreach (self::catalogue()->all() as $i) {
            if (
                in_array(
                    $i->kind,
                    [
                        IngredientKind::CarrierOil,
                        IngredientKind::LiquidWaxEster,
                        IngredientKind::Butter,
                        IngredientKind::Wax,
                        IngredientKind::Conditioning,
                    ],
                    true,
                )
            ) {
                self::assertNotSame(HairAction::None, $i->onHair->action, $i->id);
                self::assertNotSame('', $i->onHair->feel, $i->id);
                self::assertTrue($i->facts->has(Property::Weight), $i->id);
            }
        }
    }

    public function test_animal_things_are_not_vegan(): void
    {
        foreach (['beeswax', 'honey', 'lanolin'] as $id) {
            self::assertFalse(self::catalogue()->get($id)->vegan, $id);
            self::assertNotSame([], self::catalogue()->get($id)->precautions->allergens, $id);
        }
    }

    /** What is drawn, pressed or distilled of a plant warns of no less than the plant itself. */
    public function test_siblings_of_one_species_agree_in_whom_they_are_not_for(): void
    {
        $species = [];
        foreach (self::catalogue()->all() as $ingredient) {
            $words = explode(' ', $ingredient->inci);
            if (count($words) > 1 && $ingredient->parts === []) {
                $species["$words[0] $words[1]"][] = $ingredient;
            }
        }
        $compared = 0;
        foreach ($species as $siblings) {
            $plants = array_filter($siblings, static fn (Ingredient $i): bool => $i->kind->isPlant());
            $drawn = array_filter($siblings, static fn (Ingredient $i): bool => in_array(
                $i->kind,
                [IngredientKind::Water, IngredientKind::Gel, IngredientKind::EssentialOil, IngredientKind::ReadySteep],
                true,
            ));
            foreach ($plants as $plant) {
                foreach ($drawn as $of) {
                    $compared++;
                    self::assertGreaterThanOrEqual(
                        self::strictness($plant->precautions->pregnancy),
                        self::strictness($of->precautions->pregnancy),
                        "$of->id beside $plant->id in pregnancy",
                    );
                    self::assertGreaterThanOrEqual(
                        $plant->facts->best(Property::MinimumAge, 0.0),
                        $of->facts->best(Property::MinimumAge, 0.0),
                        "$of->id beside $plant->id for a child",
                    );
                }
            }
        }
        self::assertGreaterThan(25, $compared);
    }

    private static function strictness(Advice $advice): int
    {
        return match ($advice) {
            Advice::Ok => 0,
            Advice::Caution => 1,
            Advice::Avoid => 2,
        };
    }
}
