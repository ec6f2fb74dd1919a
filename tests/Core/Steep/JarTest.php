<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Assessment\Severity;
use Crown\Json\Node;
use Crown\Learning\Retention;
use Crown\Measure\Band;
use Crown\Measure\Kit;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\Tools;
use Crown\Problem;
use Crown\Steep\Charge;
use Crown\Steep\Draw;
use Crown\Steep\Geometry;
use Crown\Steep\Herb;
use Crown\Steep\Journal;
use Crown\Steep\MethodTable;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\Quantity;
use Crown\Steep\Signs;
use Crown\Steep\Stay;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\Straining;
use Crown\Steep\StrainStep;
use Crown\Steep\Timing;
use Crown\Steep\Vessel;
use Crown\Steep\WaterChoice;
use Crown\Steep\Way;
use Crown\Steep\Weighing;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** The jar as it stands for weeks: several plants and oils, what happened to it, how it is strained. */
final class JarTest extends CoreTestCase
{
    private static function day(int $n = 0): DateTimeImmutable
    {
        return (new DateTimeImmutable('2027-03-01'))->modify(sprintf('+%d days', $n));
    }

    private static function herb(
        string $id = 'rosemary',
        string $form = 'dried',
        float $grams = 40,
        int $on = 0,
        Preparation $preparation = Preparation::None,
        int $draw = 1,
    ): Herb {
        return new Herb(self::catalogue()->get($id), $form, $grams, self::day($on), $preparation, $draw);
    }

    private static function pour(string $id = 'olive-oil', float $grams = 360, int $on = 0): Pour
    {
        return new Pour(self::catalogue()->get($id), $grams, self::day($on));
    }

    /**
     * @param  list<Herb>  $herbs
     * @param  list<Pour>  $pours
     * @param  list<Stay>  $stays
     * @param  list<Draw>  $draws
     * @param  list<Weighing>  $weighings
     */
    private static function jar(
        array $herbs = [],
        array $pours = [],
        array $stays = [],
        array $draws = [],
        array $weighings = [],
        float $waterGrams = 0.0,
        Vessel $vessel = new Vessel(),
        ?Band $retention = null,
        bool $shakenDaily = true,
        bool $pressed = false,
        ?float $celsius = null,
        ?float $minutes = null,
        ?int $days = null,
    ): SteepPlan {
        return new SteepPlan(
            new Charge($herbs === [] ? [self::herb()] : $herbs, $pours === [] ? [self::pour()] : $pours, $waterGrams),
            new Journal($stays === [] ? [new Stay(SteepMethod::ColdDark, self::day())] : $stays, $draws, $weighings),
            new Way($shakenDaily, $pressed, $celsius, $minutes, $days),
            $vessel,
            $retention,
        );
    }

    /** @return list<string> */
    private static function codesOf(SteepPlan $plan): array
    {
        return array_map(static fn (SteepAdvice $a): string => $a->code, SteepAdvice::on($plan, []));
    }

    public function test_a_herb_added_later_has_drawn_for_its_own_days(): void
    {
        $jar = self::jar([self::herb(), self::herb('nettle', 'dried', 40, 14)]);
        // Shaken: k = 0.082 x 1.3; the first 28 days, the second 14; by equal mass.
        $k = 0.082 * 1.3;
        self::assertEqualsWithDelta(
            50 * (1 - exp(-$k * 28)) + 50 * (1 - exp(-$k * 14)),
            $jar->extraction->atStraining()->best,
            1e-9,
        );
        self::assertEqualsWithDelta(50 * (1 - exp(-$k * 7)), $jar->extraction->on(self::day(7))->best, 1e-9);
    }

    public function test_a_jar_moved_into_the_sun_ages_by_where_it_stood(): void
    {
        $jar = self::jar(
            stays: [new Stay(SteepMethod::ColdDark, self::day()), new Stay(SteepMethod::SunnySill, self::day(10))],
            days: 28,
        );
        self::assertEqualsWithDelta(10 + 18 * M_SQRT2 * 2, $jar->ageing->spentDays()->best, 1e-9);
        // An oil poured in on day 20 has stood eight days in the sun.
        $later = self::jar(
            pours: [self::pour(), self::pour('jojoba-oil', 360, 20)],
            stays: [new Stay(SteepMethod::ColdDark, self::day()), new Stay(SteepMethod::SunnySill, self::day(10))],
            days: 28,
        );
        self::assertEqualsWithDelta(
            0.5 * (10 + 18 * M_SQRT2 * 2) + 0.5 * 8 * M_SQRT2 * 2,
            $later->ageing->spentDays()->best,
            1e-9,
        );
    }

    public function test_dates_cross_the_change_of_clocks_as_calendar_dates(): void
    {
        $zone = date_default_timezone_get();
        foreach (['Europe/Berlin', 'America/New_York', 'Pacific/Auckland', 'UTC'] as $name) {
            date_default_timezone_set($name);
            try {
                $jar = self::onePlant(
                    self::catalogue()->get('rosemary'),
                    'dried',
                    40,
                    self::catalogue()->get('olive-oil'),
                    360,
                    SteepMethod::ColdDark,
                    new DateTimeImmutable('2027-03-10'),
                );
                self::assertSame('2027-04-08', $jar->timeline->readyDay()->format('Y-m-d'), $name);
                self::assertSame(
                    '2027-03-10',
                    $jar->readyOn(new DateTimeImmutable('2027-04-08'))->timeline->start->format('Y-m-d'),
                    $name,
                );
                self::assertEqualsWithDelta(
                    28.0,
                    $jar->ageing->spentDays()->best,
                    1e-9,
                    $name.': 28 days, also when one has 23 hours',
                );
            } finally {
                date_default_timezone_set($zone);
            }
        }
    }

    public function test_draws_and_yield(): void
    {
        $jar = self::jar(draws: [new Draw(60, self::day(10))]);
        self::assertSame(300.0, $jar->oilLeftGrams());
        self::assertEqualsWithDelta(300 - 40 * 1.6, $jar->recovery->yieldGrams()->best, 1e-9);
        self::assertEqualsWithDelta(
            40 * 1.2,
            self::jar(retention: Retention::learned([1.1, 1.3]))->recovery->keptGrams()->best,
            1e-9,
        );
        self::assertEqualsWithDelta(
            40 * 1.6 * 0.15,
            self::jar([self::herb(draw: 2)])->recovery->keptGrams()->best,
            1e-9,
            'a herb drawn before is full already',
        );
    }

    public function test_two_past_steeps_replace_the_default_never_narrower_than_a_tenth(): void
    {
        self::assertNull(Retention::learned([1.2]));
        $band = Retention::learned([1.2, 1.2, 1.2]);
        self::assertEqualsWithDelta([1.08, 1.2, 1.32], [$band?->low, $band?->best, $band?->high], 1e-9);
        self::assertEqualsWithDelta(
            [0.8, 1.2, 1.6],
            [
                Retention::learned([0.8, 1.6])?->low,
                Retention::learned([0.8, 1.6])?->best,
                Retention::learned([0.8, 1.6])?->high,
            ],
            1e-9,
        );
    }

    public function test_second_and_third_draws_give_a_half_and_a_quarter(): void
    {
        $first = self::jar()->extraction->atStraining()->best;
        self::assertEqualsWithDelta(
            $first / 2,
            self::jar([self::herb(draw: 2)])->extraction->atStraining()->best,
            1e-9,
        );
        self::assertEqualsWithDelta(
            $first / 4,
            self::jar([self::herb(draw: 3)])->extraction->atStraining()->best,
            1e-9,
        );
    }

    /** @return iterable<string, array{Herb, float}> rate per day at 20 °C before shaking */
    public static function rates(): iterable
    {
        yield 'cut leaf' => [self::herb('rosemary', 'cut'), 0.082];
        yield 'powder' => [self::herb('rosemary', 'powder'), 0.328];
        yield 'powder in a bag' => [self::herb('rosemary', 'powder', preparation: Preparation::Bagged), 0.164];
        yield 'whole seed' => [self::herb('fenugreek', 'seed'), 0.0287];
        yield 'crushed seed' => [self::herb('fenugreek', 'seed', preparation: Preparation::Crushed), 0.164];
        yield 'blended' => [self::herb('rosemary', 'fresh', preparation: Preparation::Blended), 0.328];
        yield 'toasted and crushed' => [
            self::herb('fenugreek', 'seed', preparation: Preparation::ToastedCrushed),
            0.164,
        ];
        yield 'wilted' => [self::herb('rosemary', 'fresh', preparation: Preparation::Wilted), 0.082];
    }

    #[DataProvider('rates')]
    public function test_rates(Herb $herb, float $rate): void
    {
        self::assertEqualsWithDelta($rate, $herb->rate(), 1e-9);
    }

    /**
     * @return iterable<string, array{Preparation, float}> grams of water from 50 g of fresh rosemary of 68 % moisture
     */
    public static function waters(): iterable
    {
        yield 'whole' => [Preparation::None, 3.4];
        yield 'chopped' => [Preparation::Chopped, 11.9];
        yield 'blended' => [Preparation::Blended, 27.2];
        // A third of it was water that is gone: of what is left (0.68 - 0.33) / 0.67 is water, and 0.35 of that comes.
        yield 'wilted' => [Preparation::Wilted, 50 * (0.35 / 0.67) * 0.35];
    }

    #[DataProvider('waters')]
    public function test_water_by_preparation(Preparation $preparation, float $grams): void
    {
        self::assertEqualsWithDelta(
            $grams,
            self::jar([self::herb('rosemary', 'fresh', 50, 0, $preparation)])->water->inGrams()->best,
            1e-9,
        );
    }

    public function test_only_what_is_fresh_is_wilted(): void
    {
        $this->expectException(SteepError::class);
        self::herb('rosemary', 'dried', 50, 0, Preparation::Wilted);
    }

    public function test_shaken_now_and_then_draws_as_the_rate_says(): void
    {
        $drawn = static fn (bool $daily, bool $sometimes): float => (new SteepPlan(
            Charge::of(self::herb('rosemary', 'cut'), new Pour(self::catalogue()->get('olive-oil'), 500, self::day())),
            new Journal([new Stay(SteepMethod::ColdDark, self::day())]),
            new Way($daily, shakenSometimes: $sometimes),
        ))->extraction->atStraining()->best;

        self::assertEqualsWithDelta(100 * (1 - exp(-0.082 * 28)), $drawn(false, true), 0.01);
        self::assertEqualsWithDelta(100 * (1 - exp(-0.082 * 28 * 1.3)), $drawn(true, true), 0.01);
        self::assertEqualsWithDelta(100 * (1 - exp(-0.082 * 28 * 0.8)), $drawn(false, false), 0.01);
    }

    public function test_water_added_counts_until_the_bowl_shows_it_gone(): void
    {
        $stays = [new Stay(SteepMethod::WaterBath, self::day())];
        $wet = self::jar(stays: $stays, waterGrams: 10.0);
        self::assertFalse($wet->water->isDry());
        self::assertContains('steep.water-added', self::codesOf($wet));
        self::assertContains('steep.weigh-bowl', self::codesOf($wet));
        $half = self::jar(stays: $stays, waterGrams: 10.0, weighings: [new Weighing(500, 494)]);
        self::assertEqualsWithDelta(4.0, $half->water->leftGrams()->best, 1e-9);
        self::assertContains('steep.water-left', self::codesOf($half));
        self::assertTrue(
            self::jar(
                stays: $stays,
                waterGrams: 10.0,
                weighings: [new Weighing(500, 494), new Weighing(494, 490)],
            )->water->isDry(),
        );
        $this->expectException(SteepError::class);
        new Weighing(490, 494);
    }

    public function test_what_is_done_about_water_leaves_traces_not_dryness(): void
    {
        $jar = self::jar(
            [self::herb('rosemary', 'fresh', 50, 0, Preparation::Chopped)],
            stays: [new Stay(SteepMethod::WaterBath, self::day())],
        );
        $frozen = new SteepYield($jar, 330, 0.0, WaterChoice::FrozenPoured);
        self::assertSame(0.01, $frozen->water()->high, 'traces at best');
        self::assertFalse((new SteepYield($jar, 330, 0.0, WaterChoice::DrawnOff))->isDry());
        self::assertGreaterThan(0.03, (new SteepYield($jar, 330))->water()->high);
        $stood = self::jar([self::herb('rosemary', 'fresh', 50, 0, Preparation::Chopped)]);
        $drawn = new SteepYield($stood, 330, 0.0, WaterChoice::DrawnOff);
        self::assertGreaterThan(0.03, $drawn->water()->high, 'what stood wet for weeks is not mended by settling');
        self::assertStringContainsString('28 days', (string) $drawn->grown());
        self::assertSame(7, (int) self::day(28)->diff($drawn->bestBefore(self::day(28)))->format('%a'));
    }

    public function test_as_much_as_covers_the_herb(): void
    {
        $vessel = new Vessel(1000, 9);
        $little = self::jar(pours: [self::pour(grams: 100)], vessel: $vessel);
        $more = $little->geometry->gramsToCover(self::catalogue()->get('olive-oil'));
        self::assertEqualsWithDelta(
            Geometry::LEAST_COVER,
            self::jar(pours: [self::pour(grams: 100 + $more)], vessel: $vessel)->geometry->oilAbovePlantCm()->best,
            1e-6,
        );
        self::assertNull(
            self::jar()->geometry->gramsToCover(self::catalogue()->get('olive-oil')),
            'cannot tell without a jar',
        );
        self::assertContains('steep.cover', self::codesOf($little));
    }

    public function test_too_little_oil_is_told_by_the_ratio_until_the_whole_jar_is_known(): void
    {
        $little = static fn (Vessel $vessel): array => self::codesOf(
            self::jar([self::herb()], [self::pour(grams: 100)], vessel: $vessel),
        );

        self::assertContains('steep.ratio', $little(new Vessel(null, 9)), 'how wide, and not how large');
        self::assertNotContains('steep.ratio', $little(new Vessel(700, 9)), 'how high it stands says it');
    }

    public function test_no_more_comes_out_than_half_again_the_oil_that_went_in(): void
    {
        // 360 g went in.
        self::assertInstanceOf(SteepYield::class, new SteepYield(self::jar(), 540.0));
        foreach ([540.1, 0.0] as $grams) {
            try {
                new SteepYield(self::jar(), $grams);
                self::fail("$grams g were taken.");
            } catch (SteepError $e) {
                self::assertSame('yield_grams', $e->path);
            }
        }
    }

    public function test_fresh_plants_want_more_air(): void
    {
        $vessel = new Vessel(640, 9);
        self::assertNotContains('steep.jar', self::codesOf(self::jar(vessel: $vessel)));
        self::assertContains(
            'steep.jar',
            self::codesOf(self::jar([self::herb('rosemary', 'fresh', 40, 0, Preparation::Chopped)], vessel: $vessel)),
        );
    }

    /** @return iterable<string, array{list<Herb>, list<Pour>, SteepMethod, SteepMethod}> */
    public static function charges(): iterable
    {
        yield 'dried in olive' => [[self::herb()], [self::pour()], SteepMethod::ColdDark, SteepMethod::ColdDark];
        yield 'fresh' => [
            [self::herb('rosemary', 'fresh')],
            [self::pour()],
            SteepMethod::ColdDark,
            SteepMethod::WaterBath,
        ];
        yield 'an oil that keeps half a year' => [
            [self::herb()],
            [self::pour('flaxseed-oil')],
            SteepMethod::SunnySill,
            SteepMethod::WaterBath,
        ];
    }

    /**
     * @param  list<Herb>  $herbs
     * @param  list<Pour>  $pours
     */
    #[DataProvider('charges')]
    public function test_recommendation(array $herbs, array $pours, SteepMethod $asked, SteepMethod $told): void
    {
        $table = MethodTable::for(self::jar($herbs, $pours, [new Stay($asked, self::day())]), self::day(), null);
        self::assertSame($told, $table->recommended()->method);
        self::assertCount(count(SteepMethod::cases()), $table->jsonSerialize()['rows']);
    }

    public function test_a_plan_that_does_not_fit_says_what_still_can(): void
    {
        $fits = Timing::of(self::jar(), self::day(), self::day(40));
        self::assertTrue($fits['fits']);
        self::assertSame(self::day(11)->format('Y-m-d'), $fits['latest_start']);
        $late = Timing::of(self::jar(), self::day(), self::day(20));
        self::assertFalse($late['fits']);
        self::assertStringContainsString('let it stand 19 days instead of 28', $late['message']);
        self::assertStringContainsString('water bath', $late['message']);
        self::assertStringNotContainsString(
            'let it stand',
            Timing::of(self::jar(), self::day(), self::day(5))['message'],
            'two weeks are the least',
        );
        self::assertSame(
            SteepMethod::WaterBath,
            MethodTable::for(self::jar(), self::day(), self::day(5))->recommended()->method,
        );
    }

    public function test_straining_by_particle_size_and_vessel(): void
    {
        $ids = static fn (SteepPlan $p): array => array_map(
            static fn (StrainStep $s): string => $s->id,
            Straining::steps($p),
        );
        $does = static fn (SteepPlan $p, string $id): string => array_values(
            array_filter(Straining::steps($p), static fn (StrainStep $s): bool => $s->id === $id),
        )[0]->does->key;
        $powder = self::jar([self::herb('rosemary', 'powder')]);
        self::assertContains('pour', $ids($powder));
        self::assertSame(36, Straining::steps($powder)[1]->fewestHours);
        self::assertSame('bowl', Straining::steps($powder)[0]->id, 'it is set out before anything is poured');
        self::assertSame('steep.strain.filter-fines', $does($powder, 'filter'));
        self::assertSame(
            'steep.strain.filter-bag',
            $does(self::jar([self::herb('rosemary', 'powder', preparation: Preparation::Bagged)]), 'filter'),
        );
        self::assertSame(
            'steep.strain.filter-coarse',
            $does(self::jar([self::herb('fenugreek', 'seed')]), 'filter'),
        );
        self::assertSame('steep.strain.filter', $does(self::jar([self::herb('rosemary', 'cut')]), 'filter'));
        $own = Tools::of(
            Kit::read([])->with(Node::of(['kind' => 'strainer', 'name' => 'the muslin', 'weave' => 'cloth'])),
        );
        $why = static fn (SteepPlan $p, ?Tools $tools): string => array_column(
            array_map(static fn (StrainStep $s): array => [$s->id, $s->why()], Straining::steps($p, $tools)),
            1,
            0,
        )['filter'];
        $cut = self::jar([self::herb('rosemary', 'cut')]);
        self::assertStringEndsWith(' Yours: the muslin.', $why($cut, $own));
        self::assertStringEndsWith('None of your strainers is fine enough.', $why($powder, $own));
        self::assertStringEndsWith('lets through.', $why($cut, null));
        $bagged = self::jar([self::herb('rosemary', 'powder', preparation: Preparation::Bagged)]);
        self::assertStringEndsWith('it does not.', $why($bagged, $own));
        self::assertSame('steep.strain.bowl-narrow', $does(self::jar(vessel: new Vessel(500, 8, 3)), 'bowl'));
        self::assertContains(
            'water',
            $ids(self::jar([self::herb('rosemary', 'fresh', preparation: Preparation::Chopped)])),
        );
        self::assertNotContains('water', $ids(self::jar()));
        self::assertSame('steep.strain.press', $does(self::jar(pressed: true), 'press'));
        self::assertSame(
            'steep.strain.press-not',
            $does(self::jar([self::herb('rosemary', 'powder')], pressed: true), 'press'),
        );
        self::assertSame('steep.strain.herb-keep', $does(self::jar(), 'herb'));
        self::assertSame('steep.strain.herb-compost', $does(self::jar([self::herb(draw: 3)]), 'herb'));
    }

    public function test_every_warning_of_the_craft(): void
    {
        $heated = [new Stay(SteepMethod::DirectHeat, self::day())];
        self::assertSame([], array_diff(['steep.heat', 'steep.direct'], self::codesOf(self::jar(stays: $heated))));
        self::assertContains(
            'steep.toast',
            self::codesOf(self::jar([self::herb('fenugreek', 'seed', preparation: Preparation::Toasted)])),
        );
        self::assertContains(
            'steep.outlived',
            self::codesOf(
                self::jar(pours: [self::pour('rosehip-oil')], stays: [new Stay(SteepMethod::SunnySill, self::day())]),
            ),
        );
        self::assertContains('steep.rags', self::codesOf(self::jar(pours: [self::pour('flaxseed-oil')])));
        self::assertContains(
            'steep.press',
            self::codesOf(self::jar([self::herb('rosemary', 'powder')], pressed: true)),
        );
        self::assertContains('steep.mouth', self::codesOf(self::jar(vessel: new Vessel(900, 9, 3))));
        $fresh = SteepAdvice::on(self::jar([self::herb('rosemary', 'fresh')]), []);
        self::assertSame([Severity::Stop, 'steep.fresh-cold'], [$fresh[0]->severity, $fresh[0]->code]);
        self::assertStringContainsString('heat drives it off', SteepError::scent('Lavender')->getMessage());
    }

    public function test_signs_are_offered_for_heated_steeps_only(): void
    {
        self::assertSame([], Signs::of(self::jar()));
        $signs = Signs::of(
            self::jar(
                [self::herb('rosemary', 'fresh', preparation: Preparation::Chopped)],
                stays: [new Stay(SteepMethod::WaterBath, self::day())],
            ),
        );
        self::assertSame('steep.sign.weight', $signs[0]->key, 'under 100 °C nothing bubbles of itself');
    }

    public function test_a_blend_of_oils_carries_all_its_parents(): void
    {
        $jar = self::jar(
            [self::herb('clove-bud', 'dried', 20), self::herb('calendula', 'dried', 20)],
            [self::pour('olive-oil', 180), self::pour('sweet-almond-oil', 180)],
        );
        $oil = (new SteepYield($jar, 300))->ingredient('lot-1', 'Both');
        self::assertSame(['olive-oil', 'sweet-almond-oil', 'clove-bud', 'calendula'], $oil->provenance->parents);
        self::assertContains('tree nut', $oil->precautions->allergens);
        self::assertContains('daisy family', $oil->precautions->allergens);
        self::assertEqualsWithDelta(3.0, $oil->facts->best(Property::Weight, 0), 1e-9, 'halfway between 3.5 and 2.5');
        self::assertEqualsWithDelta(100.0, $oil->composition->fattyAcids->sum(), 2.0);
        // 16 % eugenol in 20 g of cloves over 360 g of oil, all of it drawn: 0.89 % at worst.
        self::assertEqualsWithDelta((20 * 16) / 360, $oil->composition->constituents['eugenol']->band->high, 1e-9);
        // Steeped on in that oil, the eugenol comes along.
        $catalogue = self::catalogue()->with($oil);
        $again = (new SteepYield(
            self::jar(pours: [new Pour($catalogue->get('lot-1'), 360, self::day())]),
            300,
        ))->ingredient('lot-2', 'Again');
        self::assertEqualsWithDelta((20 * 16) / 360, $again->composition->constituents['eugenol']->band->high, 1e-9);
    }

    public function test_what_is_withdrawn_withdraws_its_children(): void
    {
        $bad = (new SteepYield(self::jar(), 300, withdrawn: 'Mould (1 March 2027).'))->ingredient('lot-1', 'First');
        $child = (new SteepYield(self::jar(pours: [new Pour($bad, 360, self::day())]), 300))->ingredient(
            'lot-2',
            'Second',
        );
        self::assertSame('Made from First. Mould (1 March 2027).', $child->provenance->withdrawn);
        self::assertContains('steep.withdrawn', self::codesOf(self::jar(pours: [new Pour($bad, 360, self::day())])));
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function amounts(): iterable
    {
        yield 'grams' => ['olive-oil', '360 g', 360.0];
        yield 'a bottle weighed full and empty' => ['olive-oil', '412 - 180 g', 232.0];
        yield 'the same in words' => ['olive-oil', '412,5 less 180', 232.5];
        yield 'capsules' => ['saw-palmetto', '24 capsules of 400 mg', 9.6];
        yield 'millilitres' => ['olive-oil', '100 ml', 91.4];
    }

    #[DataProvider('amounts')]
    public function test_amounts_as_they_are_written(string $id, string $written, float $grams): void
    {
        $ingredient = self::catalogue()->get($id);
        self::assertEqualsWithDelta(
            $grams,
            Quantity::grams($written, $ingredient, $ingredient->usualForm(), new Kitchen()),
            0.01,
        );
    }

    public function test_amounts_that_are_none_are_refused_by_field(): void
    {
        foreach (['180 - 412 g', 'some', '3 parts', '', '20 %'] as $written) {
            try {
                Quantity::grams($written, self::catalogue()->get('olive-oil'), '', new Kitchen());
                self::fail($written);
            } catch (Problem $e) {
                self::assertSame('amount', $e->path, $written);
            }
        }
    }
}
