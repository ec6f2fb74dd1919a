<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Caution;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Difference;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\LegalLimit;
use Crown\Catalogue\Need;
use Crown\Catalogue\Origin;
use Crown\Catalogue\OwnEntry;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Route;
use Crown\Catalogue\Shunned;
use Crown\Catalogue\Sought;
use Crown\Catalogue\StandIn;
use Crown\Catalogue\StandIns;
use Crown\Catalogue\Wanted;
use Crown\Measure\Band;
use Crown\Measure\Bounds;
use Crown\Measure\Property;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class ChoosingTest extends CoreTestCase
{
    public function test_nearness_as_worked_on_the_method_page(): void
    {
        $shea = self::catalogue()->get('shea-butter');
        $mango = self::catalogue()->get('mango-butter');
        $texture
            = sqrt(
                array_sum(
                    array_map(
                        static fn (int $t): float => ($shea->composition->solidFat->at($t)
                            - $mango->composition->solidFat->at($t))
                            ** 2,
                        [10, 20, 25, 30, 35, 40],
                    ),
                ) / 6,
            ) / 60;
        $weight = 0.7 / 2.5;
        $common = 0.0;
        foreach ($shea->composition->fattyAcids->percent as $acid => $percent) {
            $common += min($percent, $mango->composition->fattyAcids->share($acid));
        }
        $makeUp = 1 - $common / max($shea->composition->fattyAcids->sum(), $mango->composition->fattyAcids->sum());
        // Both serve sealing and dry lengths by tradition, both seal, both keep 24 months.
        $expected = 1 - sqrt((3 * $texture ** 2 + 2 * $weight ** 2 + 2 * $makeUp ** 2) / (3 + 2 + 2 + 1.5 + 1 + 0.5));

        self::assertEqualsWithDelta($expected, StandIns::nearness($shea, $mango), 1e-9);
        self::assertSame(1.0, StandIns::nearness($shea, $shea));
        self::assertEqualsWithDelta(
            StandIns::nearness($shea, $mango),
            StandIns::nearness($mango, $shea),
            0.03,
            'nearly the same both ways',
        );
    }

    public function test_stand_ins_are_of_the_family_nearest_first_and_without_what_is_shunned(): void
    {
        $found = (new StandIns(self::catalogue()))->for(self::catalogue()->get('sweet-almond-oil'), ['tree nut'], 8);

        self::assertNotSame([], $found);
        $last = 2.0;
        foreach ($found as $standIn) {
            // What is had more easily is put before what is as near.
            $rank = $standIn->nearness + 0.05 * ($standIn->ingredient->common - 1);
            self::assertLessThanOrEqual($last, $rank);
            $last = $rank;
            self::assertNotContains('tree nut', $standIn->ingredient->precautions->allergens);
        }
        self::assertSame(
            'candelilla-wax',
            (new StandIns(self::catalogue()))->for(self::catalogue()->get('beeswax'))[0]->ingredient->id,
        );
        foreach ((new StandIns(self::catalogue()))->for(self::catalogue()->get('potassium-sorbate')) as $standIn) {
            self::assertSame(IngredientKind::Preservative, $standIn->ingredient->kind);
        }
    }

    public function test_differences_are_said_as_what_would_change(): void
    {
        $said = array_map(
            static fn (Difference $d): string => $d->message,
            Difference::between(self::catalogue()->get('beeswax'), self::catalogue()->get('candelilla-wax')),
        );
        self::assertContains('Free of bee product.', $said);
        self::assertContains('Vegan.', $said);
        self::assertSame(
            [],
            Difference::between(self::catalogue()->get('olive-oil'), self::catalogue()->get('olive-oil')),
        );
        $life = array_map(
            static fn (Difference $d): string => $d->message,
            Difference::between(self::catalogue()->get('olive-oil'), self::catalogue()->get('flaxseed-oil')),
        );
        self::assertContains('Keeps 6 months instead of 18.', $life);
    }

    public function test_what_was_eaten_counts_at_most_as_tradition(): void
    {
        self::assertSame(1, (new Evidence(Need::Shedding, 3, 'x.', 'people', Route::Eaten, 'cho-2014'))->worth());
        self::assertSame(3, (new Evidence(Need::Shedding, 3, 'x.', 'people', Route::Applied, 'cho-2014'))->worth());
        self::assertSame(0.25, (new Evidence(Need::Shedding, 1, 'x.', '', Route::Applied, 'tradition'))->strength());
    }

    public function test_a_trial_on_other_skin_and_a_finding_without_a_source_count_one_grade_less(): void
    {
        $worth = static fn (string $source, bool $elsewhere): int => (new Evidence(
            Need::DryScalp,
            3,
            'x.',
            '20 women, forearm',
            Route::Applied,
            $source,
            $elsewhere,
        ))->worth();

        self::assertSame(3, $worth('komane-2017', false));
        self::assertSame(2, $worth('komane-2017', true));
        self::assertSame(2, $worth('estimate', false));
        self::assertSame(1, $worth('estimate', true));
        self::assertSame(2, self::catalogue()->get('baobab-oil')->evidenceFor(Need::DryScalp)[0]->worth());
    }

    public function test_wanted_filters_and_orders(): void
    {
        $light = (new Wanted(
            weight: new Bounds(1.0, 2.3),
            actions: [HairAction::Sealing],
            by: Wanted::BY_WEIGHT,
        ))->in(self::catalogue());
        $weights = array_map(static fn ($i): float => $i->facts->best(Property::Weight, 0), $light);
        $sorted = $weights;
        sort($sorted);
        self::assertSame($sorted, $weights);
        self::assertLessThanOrEqual(2.3, max($weights));
        foreach ((new Wanted(for: new Sought(Need::Itch, 3)))->in(self::catalogue()) as $i) {
            self::assertGreaterThanOrEqual(3, $i->evidenceFor(Need::Itch)[0]->worth(), $i->id);
        }
        self::assertSame(
            ['honey'],
            array_map(
                static fn ($i): string => $i->id,
                (new Wanted(among: ['honey']))->in(self::catalogue()),
            ),
        );
        $vegan = new Shunned(animalProducts: true);
        self::assertSame([], (new Wanted(without: $vegan, among: ['honey']))->in(self::catalogue()));
        self::assertSame([], (new Wanted(among: []))->in(self::catalogue()), 'nothing is at hand');
        self::assertCount(count(self::catalogue()->all()), (new Wanted())->in(self::catalogue()));
    }

    public function test_a_correction_lies_over_the_reference_and_leaves_it_as_it_is(): void
    {
        $corrected = self::catalogue()->corrected(
            new Correction('olive-oil', '', Property::Density20, Band::of(0.93, 0.94, 0.95), 'our scale'),
            new Correction('nettle', 'dried', Property::BulkDensity, Band::exact(0.2), 'our jar'),
            new Correction('gone', '', Property::Weight, Band::exact(2), 'x'),
        );
        self::assertSame(0.94, $corrected->get('olive-oil')->facts->best(Property::Density20, 0));
        self::assertSame('studio: our scale', $corrected->get('olive-oil')->facts->get(Property::Density20)->source);
        self::assertSame(0.2, $corrected->get('nettle')->factsIn('dried')->best(Property::BulkDensity, 0));
        self::assertCount(1, $corrected->get('olive-oil')->provenance->corrections);
        self::assertSame(0.914, $corrected->reference('olive-oil')->facts->best(Property::Density20, 0));
        self::assertSame('olive-oil', $corrected->search('olive oil')[0]->ingredient->id);
    }

    /** @return iterable<string, array{Property, Band, string}> */
    public static function wrongCorrections(): iterable
    {
        yield 'a safety limit' => [Property::DermalMax, Band::exact(50), 'me'];
        yield 'a weightless oil' => [Property::Density20, Band::exact(0.01), 'me'];
        yield 'a weight of 9' => [Property::Weight, Band::exact(9), 'me'];
        yield 'without a source' => [Property::Weight, Band::exact(2), ' '];
    }

    #[DataProvider('wrongCorrections')]
    public function test_a_wrong_correction_is_refused(Property $property, Band $band, string $source): void
    {
        $this->expectException(CatalogueError::class);
        new Correction('olive-oil', '', $property, $band, $source);
    }

    public function test_an_entry_of_ones_own_takes_over_what_it_is_like(): void
    {
        $own = (new OwnEntry(
            'own-1',
            'Market castor',
            '',
            IngredientKind::CarrierOil,
            self::catalogue()->get('castor-oil'),
            ['market'],
            ['sesame'],
            true,
            [new Correction('own-1', '', Property::LifeMonths, Band::exact(12), 'smelled old')],
        ))->ingredient();
        self::assertSame(Origin::Own, $own->provenance->origin);
        self::assertSame(12.0, $own->facts->best(Property::LifeMonths, 0));
        self::assertSame(5.0, $own->facts->best(Property::Weight, 0));
        self::assertSame(['sesame'], $own->precautions->allergens);
        $bare = (new OwnEntry(
            'own-2',
            'Strange butter',
            '',
            IngredientKind::Butter,
            null,
            [],
            [],
            true,
            [],
        ))->ingredient();
        self::assertFalse($bare->composition->solidFat->known(), 'of a kind alone its texture cannot be told');
        self::assertSame('own-1', self::catalogue()->with($own)->search('market castor')[0]->ingredient->id);
    }

    public function test_a_butter_of_ones_own_may_be_like_an_oil_that_sets(): void
    {
        $coconut = self::catalogue()->get('coconut-oil');
        $entry = new OwnEntry('own-1', 'Aloe butter', '', IngredientKind::Butter, $coconut, [], [], true, []);
        $own = $entry->ingredient();

        self::assertSame(IngredientKind::Butter, $own->kind);
        self::assertEquals($coconut->composition->solidFat, $own->composition->solidFat);
    }

    public function test_an_entry_of_another_kind_or_without_a_name_is_refused(): void
    {
        foreach (
            [
                ['', IngredientKind::CarrierOil, null],
                ['X', IngredientKind::ReadySteep, null],
                ['X', IngredientKind::Butter, self::catalogue()->get('castor-oil')],
            ] as [$name, $kind, $like]
        ) {
            try {
                new OwnEntry('own-1', $name, '', $kind, $like, [], [], true, []);
                self::fail('must be refused');
            } catch (CatalogueError $e) {
                self::assertStringContainsString('Allowed', $e->getMessage());
            }
        }
        $this->expectException(CatalogueError::class);
        new LegalLimit(0.6, 'sorbic acid', 0.0, 'estimate');
    }

    public function test_no_stand_in_dyes_burns_or_poisons_where_the_other_does_not(): void
    {
        $harms = static fn (Ingredient $i): array => array_map(
            static fn (Caution $c): string => $c->kind->value,
            array_filter(
                $i->precautions->cautions,
                static fn (Caution $c): bool => $c->kind->isGrave() || $c->kind === CautionKind::Stains,
            ),
        );
        foreach (self::catalogue()->all() as $ingredient) {
            foreach ((new StandIns(self::catalogue()))->for($ingredient, [], 40) as $standIn) {
                self::assertSame(
                    [],
                    array_diff($harms($standIn->ingredient), $harms($ingredient)),
                    $standIn->ingredient->id.' for '.$ingredient->id,
                );
            }
        }
    }

    /**
     * @param  list<string>  $held
     * @return list<string>
     */
    private static function standInsOf(string $id, int $limit = 6, array $held = []): array
    {
        return array_map(
            static fn (StandIn $s): string => $s->ingredient->id,
            (new StandIns(self::catalogue()))->for(self::catalogue()->get($id), [], $limit, $held),
        );
    }

    public function test_a_stand_in_does_the_same(): void
    {
        self::assertSame([], self::standInsOf('dimethyl-sulfone'), 'nothing is known that does what it does');
        self::assertContains('bibhitaki', self::standInsOf('amla'));
        $others = ['basil-leaf', 'parsley', 'rooibos', 'orange-peel'];
        self::assertSame([], array_intersect($others, self::standInsOf('amla', 40)));
        self::assertSame(['gluconolactone'], self::standInsOf('citric-acid'));
        self::assertContains('radish-seed-extract', self::standInsOf('dimethicone'));
        foreach (self::catalogue()->all() as $ingredient) {
            $lies = static fn (Ingredient $i): bool => $i->kind->isFat() || $i->onHair->action !== HairAction::None;
            foreach ((new StandIns(self::catalogue()))->for($ingredient, [], 40) as $standIn) {
                $other = $standIn->ingredient;
                $what = "$other->id for $ingredient->id";
                if (! $lies($ingredient) || ! $lies($other)) {
                    self::assertTrue(
                        $ingredient->jobs() === []
                            ? self::alike($ingredient, $other)
                            : in_array($ingredient->jobs()[0], $other->jobs(), true),
                        $what,
                    );
                }
                // What is in both is known, or it is said that it is not, and they are not all alike.
                $said = array_map(static fn (Difference $d): string => $d->about, $standIn->changes);
                self::assertTrue($standIn->nearness < 0.9 || ! in_array('unknown', $said, true), $what);
            }
        }
    }

    /** A need, a way of preserving or constituents that both have. */
    private static function alike(Ingredient $a, Ingredient $b): bool
    {
        $needs = static fn (Ingredient $i): array => array_map(
            static fn (Evidence $e): string => $e->need->value,
            array_filter($i->evidence, static fn (Evidence $e): bool => $e->strength() > 0.0),
        );

        return array_intersect($needs($a), $needs($b)) !== []
            || $a->preservation->kind === $b->preservation->kind && $a->preservation->kind !== PreservationKind::None
            || $a->kind === IngredientKind::EssentialOil;
    }

    public function test_what_a_maker_has_or_finds_in_shops_is_offered(): void
    {
        self::assertContains('shea-butter', self::standInsOf('cocoa-butter'));
        self::assertContains('cocoa-butter', self::standInsOf('kokum-butter'));
        self::assertContains('olive-oil', self::standInsOf('coconut-oil'));
        self::assertSame('shea-butter', self::standInsOf('cocoa-butter', held: ['shea-butter'])[0]);
        self::assertNotSame('beeswax', self::standInsOf('cocoa-butter', held: ['beeswax'])[0], 'not near enough');
        foreach (['cocoa-butter', 'mango-butter', 'kokum-butter', 'argan-oil', 'jojoba-oil', 'rice-bran-oil'] as $id) {
            $had = array_filter(
                self::standInsOf($id),
                static fn (string $other): bool => self::catalogue()->get($other)->common > 1,
            );
            self::assertGreaterThanOrEqual(2, count($had), $id);
        }
    }

    public function test_what_is_asked_of_anything_is_said_where_nothing_is_known(): void
    {
        $clove = self::catalogue()->get('clove-bud');

        self::assertSame(Need::OFTEN_ASKED, $clove->saysNothingOf());
        self::assertNotContains(Need::FirstGrey, self::catalogue()->get('amla')->saysNothingOf());
    }
}
