<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Composition;
use Crown\Assessment\Whipping;
use Crown\Assessment\WithoutScale;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** How it stands, takes air, keeps, and is measured without a scale. Worked examples of the method pages. */
final class BehaviourTest extends CoreTestCase
{
    private const WHIP = ['shea-butter' => '70 g', 'sunflower-oil-high-oleic' => '30 g'];

    public function test_where_it_melts_and_pours_is_read_off_the_straight_lines(): void
    {
        // 70 % shea is 3 x log2(1 / 0.7) = 1.544 K softer: S(27.5) 11.05, S(30) 5.75, S(32) 3.23, S(35) 0.97.
        $texture = self::assess(self::formula(self::WHIP))->subject->texture;
        $warmer = 3 * log(1 / 0.7, 2);
        $at30 = 0.7 * (11 - 1.8 * $warmer);
        $at27 = 0.7 * (36 - 5 * (2.5 + $warmer));

        self::assertEqualsWithDelta(1.544, $warmer, 1e-3);
        self::assertEqualsWithDelta($at30, $texture->solids(30)->best, 1e-9);
        self::assertEqualsWithDelta(27.5 + (2.5 * ($at27 - 8)) / ($at27 - $at30), $texture->fallsTo(8.0), 1e-9);
        self::assertEqualsWithDelta(33.63, $texture->meltsAt(), 0.01, 'between 32 (3.23) and 35 (0.97)');
        self::assertSame(29.0, $texture->poursFrom());
        self::assertSame(['cold room', 'room', 'hot day', 'skin'], array_column($texture->moments(), 'place'));
        self::assertSame('thick but pourable', $texture->moments()[2]['label'], 'at 32 °C: 3.2');
    }

    /** @param  array<string, string>  $lines */
    #[DataProvider('levels')]
    public function test_the_crossing_agrees_with_the_curve(array $lines): void
    {
        $texture = self::assess(self::formula($lines))->subject->texture;
        foreach ([1.0, 5.0, 8.0, 15.0, 35.0, 60.0] as $level) {
            $at = $texture->fallsTo($level);
            self::assertTrue(
                $at > 10.0 && $at < 40.0
                    ? abs($texture->solids($at)->best - $level) < 1e-6
                    : ($at === 10.0
                        ? $texture->solids(10)->best <= $level
                        : $texture->solids(40)->best >= $level),
            );
        }
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function levels(): iterable
    {
        yield 'whipped' => [self::WHIP];
        yield 'liquid' => [['olive-oil' => '100 g']];
        yield 'stick' => [['shea-butter' => '80 g', 'beeswax' => '20 g']];
        yield 'nothing' => [[]];
    }

    public function test_air_rises_to_a_peak_and_is_beaten_out_again(): void
    {
        self::assertEqualsWithDelta(0.6, Whipping::overrun(10)->low, 1e-9);
        self::assertEqualsWithDelta(1.0, Whipping::overrun(10)->high, 1e-9);
        foreach ([8.0, 12.0] as $minutes) {
            self::assertGreaterThan(0.97 * 0.8, Whipping::overrun($minutes)->best);
        }
        self::assertLessThan(Whipping::overrun(10)->best, Whipping::overrun(4)->best);
        // 30 minutes: 3 e^-2 = 0.406 of the peak.
        self::assertEqualsWithDelta(0.8 * 3 * exp(-2), Whipping::overrun(30)->best, 1e-9);
        self::assertSame(0.0, Whipping::overrun(0)->high);
    }

    public function test_the_bowl_has_a_window_and_the_jar_a_volume(): void
    {
        $texture = self::assess(self::formula(self::WHIP))->subject->texture;
        $whipping = Whipping::of($texture, Band::exact(92.0), 0.92);

        // By 1.544 K softer: S is 35 between 15 (36.07) and 20 (30.04), 15 between 25 (19.80) and 27.5 (11.05).
        self::assertEqualsWithDelta(15.89, $whipping->coldest, 0.01);
        self::assertEqualsWithDelta(26.37, $whipping->warmest, 0.01);
        self::assertEqualsWithDelta(180.0, $whipping->volume(10)->best, 1e-9, '100 ml and 80 % of air');
        self::assertNotContains(
            'texture.whip',
            self::codes(self::assess(self::formula(self::WHIP, ProductKind::WhippedButter))),
        );
        self::assertContains(
            'texture.whip',
            self::codes(self::assess(self::formula(['olive-oil' => '100 g'], ProductKind::WhippedButter))),
        );
        self::assertContains(
            'texture.whip',
            self::codes(
                self::assess(
                    self::formula(['carnauba-wax' => '90 g', 'olive-oil' => '10 g'], ProductKind::WhippedButter),
                ),
            ),
        );
    }

    public function test_a_cold_room_hardens_and_slow_cooling_grains(): void
    {
        $hard = self::assess(
            self::formula(['shea-butter' => '80 g', 'beeswax' => '10 g', 'olive-oil' => '10 g'], ProductKind::Balm),
        );
        self::assertContains('texture.scrape', self::codes($hard));
        self::assertContains('texture.grainy', self::codes($hard));
        $soft = self::codes(
            self::assess(
                self::formula(['shea-butter' => '15 g', 'olive-oil' => '77 g', 'beeswax' => '8 g'], ProductKind::Balm),
            ),
        );
        self::assertNotContains('texture.scrape', $soft);
        self::assertNotContains('texture.grainy', $soft);
        self::assertNotContains(
            'texture.grainy',
            self::codes(
                self::assess(self::formula(['cocoa-butter' => '60 g', 'olive-oil' => '40 g'], ProductKind::Balm)),
            ),
        );
        self::assertNotContains(
            'texture.scrape',
            self::codes(
                self::assess(
                    self::formula(['cocoa-butter' => '90 g', 'olive-oil' => '10 g'], ProductKind::ConditionerBar),
                ),
            ),
            'a bar is meant to be hard',
        );
    }

    /**
     * @param  array<string, string>  $lines
     * @param  array<int, array{float, float}>  $solids least and most effective solids known of it, by °C
     */
    #[DataProvider('blendsAsKnown')]
    public function test_oil_dissolves_fat_and_wax_builds_its_lattice_once(array $lines, array $solids): void
    {
        $texture = self::assess(self::formula($lines, ProductKind::Balm))->subject->texture;
        foreach ($solids as $celsius => [$least, $most]) {
            $found = $texture->solids((float) $celsius);
            self::assertGreaterThanOrEqual($least, $found->best, "at $celsius °C");
            self::assertLessThanOrEqual($most, $found->best, "at $celsius °C");
            self::assertGreaterThanOrEqual(0.0, $found->low);
            self::assertLessThanOrEqual(100.0, $found->high);
        }
    }

    /** @return iterable<string, array{array<string, string>, array<int, array{float, float}>}> */
    public static function blendsAsKnown(): iterable
    {
        // Half of it dissolved: 3 K. At 30 °C 0.5 x 48 x (35 - 33) / 5 = 9.6, at 32 °C nothing: it runs.
        yield 'cocoa and as much olive' => [
            ['cocoa-butter' => '50 g', 'olive-oil' => '50 g'],
            [30 => [8, 12], 32 => [0, 2]],
        ];
        // A quarter of it: 6 K. At 25 °C 0.25 x SFC(31), which is 48 x (35 - 31) / 5.
        yield 'a quarter of cocoa' => [['cocoa-butter' => '25 g', 'olive-oil' => '75 g'], [25 => [9.59, 9.61]]];
        yield 'shea by itself slumps' => [['shea-butter' => '100 g'], [25 => [36, 36], 32 => [0, 8]]];
        yield 'two of shea, one of olive' => [['shea-butter' => '66.7 g', 'olive-oil' => '33.3 g'], [32 => [0, 8]]];
        yield 'wax, shea and coconut alike' => [
            ['beeswax' => '50 g', 'shea-butter' => '50 g', 'coconut-oil' => '50 g'],
            [25 => [50, 70]],
        ];
        yield 'a third of wax in oil is as it was known' => [
            ['beeswax' => '30 g', 'olive-oil' => '70 g'],
            [25 => [57.59, 57.61]],
        ];
        yield 'wax by itself' => [['beeswax' => '100 g'], [25 => [100, 100]]];
    }

    public function test_more_oil_never_makes_it_firmer(): void
    {
        $random = new Randomizer(new Mt19937(48));
        $fats = ['shea-butter', 'cocoa-butter', 'coconut-oil', 'mango-butter', 'beeswax', 'candelilla-wax', 'lanolin'];
        for ($case = 0; $case < 60; $case++) {
            $lines = [];
            foreach ($random->pickArrayKeys($fats, $random->getInt(1, 4)) as $i) {
                $lines[$fats[$i]] = $random->getInt(1, 60).' g';
            }
            $before = null;
            foreach ([0, 10, 30, 90] as $oil) {
                $texture = self::assess(self::formula([...$lines, 'olive-oil' => "$oil g"]))->subject->texture;
                foreach ([12.0, 21.0, 25.0, 32.0, 37.0] as $celsius) {
                    $solids = $texture->solids($celsius);
                    self::assertLessThanOrEqual(($before[(int) $celsius] ?? 100.0) + 1e-9, $solids->best, "case $case");
                    self::assertGreaterThanOrEqual(0.0, $solids->low);
                    $before[(int) $celsius] = $solids->best;
                }
            }
        }
    }

    public function test_what_sets_in_grains_or_blooms_is_said(): void
    {
        $of = static fn (array $lines): array => self::codes(self::assess(self::formula($lines, ProductKind::Balm)));
        self::assertContains('texture.grainy', $of(['olive-oil' => '85 g', 'stearic-acid' => '15 g']));
        self::assertNotContains('texture.grainy', $of(['olive-oil' => '98 g', 'stearic-acid' => '2 g']));
        self::assertContains('texture.bloom', $of(['cocoa-butter' => '60 g', 'olive-oil' => '40 g']));
        self::assertNotContains('texture.bloom', $of(['cocoa-butter' => '10 g', 'olive-oil' => '90 g']));
        self::assertNotContains('texture.bloom', $of(['shea-butter' => '60 g', 'olive-oil' => '40 g']));
    }

    public function test_a_bar_without_a_conditioning_agent_is_offered_one(): void
    {
        $bar = self::formula(['cocoa-butter' => '60 g', 'olive-oil' => '40 g'], ProductKind::ConditionerBar);
        $finding = self::finding(self::assess($bar), 'purpose');
        $with = $finding->cures[0]->change->applyTo($bar, self::catalogue());

        self::assertStringContainsString('%', $finding->cures[0]->label);
        self::assertNotContains('purpose', self::codes(self::assess($with)));
        self::assertNotContains('dose.over', self::codes(self::assess($with)));
        self::assertNotContains('dose.under', self::codes(self::assess($with)));
    }

    public function test_each_kind_needs_what_it_is_for(): void
    {
        self::assertContains(
            'purpose',
            self::codes(
                self::assess(
                    self::formula(['cocoa-butter' => '90 g', 'olive-oil' => '10 g'], ProductKind::ConditionerBar),
                ),
            ),
        );
        self::assertNotContains(
            'purpose',
            self::codes(
                self::assess(
                    self::formula(['cocoa-butter' => '60 g', 'btms-50' => '40 g'], ProductKind::ConditionerBar),
                ),
            ),
        );
        self::assertContains(
            'purpose',
            self::codes(
                self::assess(
                    self::formula(['olive-oil' => '90 g', 'emulsifying-wax' => '10 g'], ProductKind::Emulsion),
                ),
            ),
        );
        self::assertNotContains('purpose', self::codes(self::assess(self::formula(['olive-oil' => '100 g']))));
        foreach (['rosemary-eo', 'calendula', 'vitamin-e'] as $alone) {
            self::assertContains('purpose', self::codes(self::assess(self::formula([$alone => '10 g']))), $alone);
        }
        self::assertNotContains('purpose', self::codes(self::assess(self::formula([]))));
    }

    public function test_what_would_lengthen_a_life_is_tried_out(): void
    {
        // Half olive (18), half hemp (9): 9 months. Without hemp 18; in the fridge x 1.5; vitamin E x 1.35.
        $life = self::assess(self::formula(['olive-oil' => '50 g', 'hemp-seed-oil' => '50 g']))->subject->life;

        self::assertEqualsWithDelta(9.0, $life->months->best, 1e-9);
        self::assertSame(
            ['Without Hemp seed oil, the other lines in its place', 'Kept in the fridge, 5 °C', '0.5 % of vitamin E'],
            array_column($life->longer, 'words'),
        );
        self::assertEqualsWithDelta(18.0, $life->longer[0]['months']->best, 1e-9);
        self::assertEqualsWithDelta(9 * 1.5, $life->longer[1]['months']->best, 1e-9);
        self::assertEqualsWithDelta(9 * 1.35, $life->longer[2]['months']->best, 1e-9);
        self::assertContains('In clear glass in the light it would be half of that.', $life->reasons);
    }

    public function test_what_water_caps_only_less_water_lengthens(): void
    {
        $life = self::assess(self::formula(['olive-oil' => '90 g', 'aloe-gel' => '10 g']))->subject->life;

        self::assertSame(
            ['Without the water: the plant dried first, or an oil extract in its place'],
            array_column($life->longer, 'words'),
        );
        self::assertSame([], self::assess(self::formula([]))->subject->life->longer);
    }

    public function test_density_falls_as_it_warms(): void
    {
        $composition = Composition::of(self::formula(['olive-oil' => '100 g']), self::context());

        self::assertEqualsWithDelta(0.00068 * 40, $composition->density() - $composition->density(60.0), 1e-9);
    }

    public function test_kitchen_measures_are_the_nearest_and_come_back_within_their_rounding(): void
    {
        $formula = self::formula([
            'shea-butter' => '180 g',
            'olive-oil' => '40 g',
            'castor-oil' => '2 g',
            'lavender-eo' => '0.5 g',
        ])->withSize(Size::mass(222.5));
        $without = WithoutScale::of(Composition::of($formula, self::context()), new Kitchen());

        // A US tablespoon is 14.787 ml: 40 g of olive oil at 0.91 are 43.9 ml, 2.97 tbsp.
        self::assertSame('3 tbsp', $without->measures['l2']);
        self::assertStringContainsString('cup', $without->measures['l1'] ?? '');
        self::assertSame('melted', $without->formula->lines[0]->form);
        self::assertMatchesRegularExpression('/^\d+ drops$/', $without->measures['l4'] ?? '');
        $then = Composition::of($without->formula, self::context());
        foreach ($then->portions as $i => $portion) {
            $asked = Composition::of($formula, self::context())->portions[$i]->grams->band->best;
            self::assertEqualsWithDelta(1.0, $portion->grams->band->best / $asked, 0.17, $portion->ingredient->name);
        }
        $rows = $without->rows($then);
        self::assertEqualsWithDelta(40 / 28.349523125, $rows[1]['ounces'], 0.0001);
        self::assertEqualsWithDelta(100.0, array_sum(array_column($rows, 'percent_now')), 1e-9);
        self::assertEqualsWithDelta(100.0, array_sum(array_column($rows, 'percent_then')), 1e-9);
        self::assertLessThanOrEqual(0.5, $then->portions[3]->grams->band->best, 'a strong oil is rounded down');
    }

    public function test_what_no_spoon_can_say_stays_weighed(): void
    {
        $without = WithoutScale::of(
            Composition::of(
                self::formula(['olive-oil' => '50 %', 'who knows' => '50 %'])->withSize(Size::mass(80)),
                self::context(),
            ),
            new Kitchen(),
        );

        self::assertNull($without->measures['l2']);
        self::assertSame('40 g', $without->formula->lines[1]->amount->text);
    }

    public function test_a_strip_gives_the_heights_in_a_straight_bottle(): void
    {
        $formula = self::formula(['olive-oil' => '45.5 g', 'castor-oil' => '24 g', 'lavender-eo' => '2 drops']);
        $without = WithoutScale::of(Composition::of($formula, self::context()), new Kitchen());
        $strip = $without->strip(40.0);

        // 50 ml in a bottle 40 mm wide: 50000 / (pi 20²) = 39.8 mm.
        $density = self::catalogue()->get('olive-oil')->facts->best(\Crown\Measure\Property::Density20, 0.0);
        self::assertEqualsWithDelta(((45.5 / $density) * 1000) / (M_PI * 400), $strip[0]['to_mm'], 0.051);
        self::assertSame($strip[0]['to_mm'], $strip[1]['from_mm']);
        self::assertSame([false, false, true], array_column($strip, 'drops'));
    }

    public function test_a_strip_needs_lines_that_pour_and_a_bottle(): void
    {
        $without = WithoutScale::of(
            Composition::of(self::formula(['olive-oil' => '45 g', 'beeswax' => '5 g']), self::context()),
            new Kitchen(),
        );
        try {
            $without->strip(40.0);
            self::fail('Beeswax was poured.');
        } catch (FormulaError $e) {
            self::assertStringContainsString('Beeswax', $e->getMessage());
        }
        $this->expectException(FormulaError::class);
        $without->strip(4.0);
    }
}
