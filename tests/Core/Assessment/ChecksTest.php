<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\TextureClass;
use Crown\Assessment\WaterClass;
use Crown\Formula\Audience;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Formula\Step;
use Crown\Measure\WrittenAmount;
use Tests\Core\CoreTestCase;

final class ChecksTest extends CoreTestCase
{
    public function test_essential_oils_are_judged_by_their_worst_case(): void
    {
        // 50 drops of 0.0318 g best, 0.046 worst, in 91.4 g: 1.71 % best, 2.45 % at worst.
        $assessment = self::assess(self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']));
        $load = $assessment->subject->load->percent();

        self::assertEqualsWithDelta(1.71, $load->best, 0.01);
        self::assertEqualsWithDelta(2.47, $load->high, 0.02);
        self::assertSame(Severity::Stop, self::finding($assessment, 'load.total')->severity);
    }

    public function test_scents_that_the_method_heats_are_told_and_no_others(): void
    {
        $formula = self::formula(['olive-oil' => '90 g', 'peppermint-eo' => '4 drops', 'rosemary-eo' => '4 drops']);
        foreach ([
            ['add', 'Combine everything and boil in a water bath for an hour.', 2],
            ['heat', 'Heat the oil with the essential oils.', 2],
            ['add', 'Take it off the heat and add the essential oils.', 0],
            ['heat', 'Simmer the rosemary in the oil.', 0],
            ['add', 'Stir everything together.', 0],
        ] as [$act, $text, $scents]) {
            $said = array_values(array_filter(
                self::assess($formula->withSteps([new Step($text, $act)]))->findings,
                static fn (Finding $f): bool => $f->code === 'scent.heated',
            ));
            self::assertSame($scents === 0 ? [] : [$scents], array_map(
                static fn (Finding $f): int => count($f->portions),
                $said,
            ), $text);
        }
        // What goes in by its own name later is not meant by "everything".
        $later = [new Step('Boil everything.', 'heat'), new Step('Cool it and add the peppermint.', 'cool')];
        $said = self::finding(self::assess($formula->withSteps($later)), 'scent.heated');
        self::assertSame(['rosemary-eo'], array_map(static fn ($p): string => $p->ingredient->id, $said->portions));
    }

    public function test_the_cure_is_the_largest_whole_number_of_drops(): void
    {
        $formula = self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']);
        $cured = self::cured(self::assess($formula), 'load.total');

        self::assertNotContains('load.total', self::codes($cured));
        preg_match('/^\d+/', $cured->subject->formula()->lines[1]->amount->text, $m);
        $one_more = $formula->replacing($formula->lines[1]->withAmount(new WrittenAmount((int) $m[0] + 1 .' drops')));
        self::assertContains('load.total', self::codes(self::assess($one_more)), 'one drop more would be too many');
    }

    public function test_each_audience_has_its_ceiling(): void
    {
        // 0.35 % best, 0.5 % at worst: 10 drops in 91 g.
        $expect = [
            'adult-leave-on' => false,
            'adult-rinse-off' => false,
            'face' => false,
            'child-6-12' => false,
            'child-2-6' => true,
            'infant' => true,
        ];
        foreach ($expect as $audience => $stopped) {
            $assessment = self::assess(
                self::formula(
                    ['olive-oil' => '85 g', 'lavender-eo' => '10 drops'],
                    audience: Audience::from($audience),
                ),
            );
            self::assertSame($stopped, $assessment->hasStop(), $audience);
        }
        self::assertContains(
            'load.audience',
            self::codes(
                self::assess(
                    self::formula(['olive-oil' => '85 g', 'lavender-eo' => '1 drop'], audience: Audience::Infant),
                ),
            ),
        );
    }

    public function test_children_and_pregnancy_exclude_some(): void
    {
        self::assertContains(
            'child.avoid',
            self::codes(
                self::assess(
                    self::formula(['olive-oil' => '500 g', 'peppermint-eo' => '1 drop'], audience: Audience::Child2To6),
                ),
            ),
        );
        $pregnant = self::assess(
            self::formula(['olive-oil' => '500 g', 'clove-bud-eo' => '1 drop'], audience: Audience::Pregnancy),
        );
        self::assertSame(Severity::Stop, self::finding($pregnant, 'pregnancy.avoid')->severity);
        self::assertNotContains('pregnancy.avoid', self::codes(self::cured($pregnant, 'pregnancy.avoid')));
    }

    public function test_single_oils_and_constituents_have_limits(): void
    {
        // Clove: 0.8 % at most 97 % eugenol, over 0.5 % of either.
        $assessment = self::assess(self::formula(['olive-oil' => '100 g', 'clove-bud-eo' => '0.8 %']), 0.01);

        self::assertContains('load.oil', self::codes($assessment));
        self::assertContains('load.constituent', self::codes($assessment));
        self::assertNotContains('load.constituent', self::codes(self::cured($assessment, 'load.constituent')));
        self::assertNotContains('load.oil', self::codes(self::cured($assessment, 'load.oil')));
    }

    public function test_one_drop_of_a_poisonous_oil_is_a_stop_and_the_cure_takes_it_out(): void
    {
        foreach (['pennyroyal-eo', 'thuja-eo', 'rue-eo', 'sassafras-eo'] as $poison) {
            $assessment = self::assess(self::formula(['olive-oil' => '500 g', $poison => '1 drop']));
            self::assertStringEndsWith(
                'is for no hair and no skin: leave it out.',
                self::finding($assessment, 'load.oil')->message(),
            );
            self::assertFalse(
                $assessment->decision(self::finding($assessment, 'load.oil'))->acceptable,
                'no reason outweighs it',
            );
            self::assertSame(
                ['olive-oil'],
                array_map(
                    static fn ($line): ?string => $line->ingredient,
                    self::cured($assessment, 'load.oil')->subject->formula()->lines,
                ),
            );
        }
    }

    public function test_phototoxic_oils_stay_under_their_limit(): void
    {
        $over = self::formula(['olive-oil' => '100 g', 'bergamot-expressed-eo' => '30 drops']);
        self::assertSame(Severity::Stop, self::finding(self::assess($over), 'phototoxic')->severity);
        self::assertSame(
            Severity::Note,
            self::finding(self::cured(self::assess($over), 'phototoxic'), 'phototoxic')->severity,
        );
        self::assertNotContains('phototoxic', self::codes(self::assess($over->withAudience(Audience::AdultRinseOff))));
    }

    public function test_water_classes(): void
    {
        $class = static fn (array $lines, bool $wet = false): WaterClass => self::assess(
            self::formula($lines, wetUse: $wet),
        )->subject->water->class;

        self::assertSame(WaterClass::Dry, $class(['olive-oil' => '100 g']));
        self::assertSame(WaterClass::WetInUse, $class(['olive-oil' => '100 g'], true));
        self::assertSame(WaterClass::Free, $class(['olive-oil' => '100 g', 'aloe-gel' => '10 g']));
        self::assertSame(WaterClass::Free, $class(['olive-oil' => '100 g', 'fresh:rosemary' => '10 g']));
        self::assertSame(
            WaterClass::Dry,
            $class(['olive-oil' => '100 g', 'dried:rosemary' => '10 g']),
            'bound moisture is not free water',
        );
        self::assertSame(
            WaterClass::Emulsion,
            $class(['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '74 g']),
        );
        self::assertSame(
            WaterClass::Free,
            $class(['olive-oil' => '25 g', 'emulsifying-wax' => '1 g', 'water' => '74 g']),
            'too little emulsifier',
        );
        self::assertSame(WaterClass::Free, $class(['water' => '100 g']));
    }

    public function test_fresh_plants_are_cured_by_drying(): void
    {
        $assessment = self::assess(self::formula(['olive-oil' => '100 g', 'fresh:hibiscus' => '20 g']));

        self::assertSame(Severity::Stop, self::finding($assessment, 'water.free')->severity);
        self::assertNotContains('water.free', self::codes(self::cured($assessment, 'water.free')));
    }

    public function test_emulsions_need_a_preservative_that_fits(): void
    {
        $lines = ['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '74 g'];
        $bare = self::assess(self::formula($lines));
        self::assertSame(Severity::Stop, self::finding($bare, 'preservative.missing')->severity);
        $cured = self::cured($bare, 'preservative.missing');
        self::assertNotContains('preservative.missing', self::codes($cured));
        // 0.9 % of the finished mass, itself included: 100 x 0.9 / 99.1 = 0.908 g on 100 g of base.
        self::assertEqualsWithDelta(0.908, $cured->subject->composition->portions[3]->grams->band->best, 0.001);
        self::assertEqualsWithDelta(0.9, $cured->subject->composition->portions[3]->percent(), 1e-6);

        self::assertContains(
            'preservative.unsuitable',
            self::codes(self::assess(self::formula($lines + ['potassium-sorbate' => '0.3 g']))),
        );
        self::assertContains(
            'antioxidant.not-preservative',
            self::codes(self::assess(self::formula($lines + ['vitamin-e' => '1 g']))),
        );
    }

    public function test_the_dose_is_of_the_finished_mass(): void
    {
        $assessment = self::assess(
            self::formula([
                'olive-oil' => '20 g',
                'emulsifying-wax' => '6 g',
                'water' => '74 g',
                'phenoxyethanol-ehg' => '5 g',
            ]),
            0.01,
        );
        $finding = self::finding($assessment, 'preservative.dose');

        self::assertSame(Severity::Stop, $finding->severity);
        self::assertEqualsWithDelta((5 / 105) * 100, $finding->figure(FigureName::ShareOfWhole)->best, 1e-9);
        self::assertEqualsWithDelta(5.0, $finding->figure(FigureName::ShareOfBase)->best, 1e-9);
        self::assertNotContains('preservative.dose', self::codes(self::cured($assessment, 'preservative.dose')));
    }

    public function test_wet_use_can_be_cured_by_keeping_it_dry(): void
    {
        $wet = self::assess(self::formula(['olive-oil' => '100 g', 'vitamin-e' => '1 g'], wetUse: true));

        self::assertContains('preservative.missing', self::codes($wet));
        self::assertContains('antioxidant.not-preservative', self::codes($wet));
        self::assertSame(
            [],
            array_intersect(
                ['preservative.missing', 'antioxidant.not-preservative'],
                self::codes(self::cured($wet, 'preservative.missing')),
            ),
        );
    }

    public function test_heat_shy_lines_belong_in_the_cool_down(): void
    {
        $formula = self::formula(['shea-butter' => '100 g', 'rosemary-eo' => '10 drops']);
        self::assertNotContains('phase.heat-shy', self::codes(self::assess($formula)));
        $hot = self::assess($formula->replacing($formula->lines[1]->withPhase(Phase::Melt)));
        self::assertContains('phase.heat-shy', self::codes($hot));
        self::assertNotContains('phase.heat-shy', self::codes(self::cured($hot, 'phase.heat-shy')));
    }

    public function test_powders_that_stay_as_grit(): void
    {
        self::assertSame(
            Severity::Caution,
            self::finding(
                self::assess(self::formula(['olive-oil' => '100 g', 'dimethyl-sulfone' => '5 g'])),
                'insoluble.powder',
            )->severity,
        );
        self::assertSame(
            Severity::Note,
            self::finding(
                self::assess(self::formula(['shea-butter' => '100 g', 'arrowroot' => '5 g'])),
                'insoluble.powder',
            )->severity,
        );
        self::assertContains(
            'insoluble.powder',
            self::codes(self::assess(self::formula(['olive-oil' => '100 g', 'amla' => '5 g']))),
        );
    }

    public function test_the_scale_must_resolve_each_line(): void
    {
        $formula = self::formula(['olive-oil' => '100 g', 'vitamin-e' => '2.3 g']);
        $finding = self::finding(self::assess($formula), 'scale.resolution');

        self::assertEqualsWithDelta(21.7, $finding->figure(FigureName::Uncertain)->best, 0.05);
        self::assertStringContainsString('uncertain by 22 %', $finding->message());
        self::assertStringContainsString('2.3 g (2.4 ml) of', $finding->message(), '2.3 / 0.94');
        self::assertNotContains('scale.resolution', self::codes(self::assess($formula, 0.1)));
        self::assertNotContains('scale.resolution', self::codes(self::assess($formula->withSize(Size::mass(500)))));
    }

    public function test_texture_follows_the_effective_solids(): void
    {
        // By hand at 25 °C: 0.8 x 36 (shea) + 0.2 x 96 x 2.0 (beeswax) = 28.8 + 38.4 = 67.2: a stick.
        $balm = self::assess(self::formula(['shea-butter' => '80 %', 'beeswax' => '20 %'], ProductKind::Balm));
        self::assertEqualsWithDelta(67.2, $balm->subject->texture->solids(25)->best, 1e-9);
        self::assertSame(TextureClass::Stick, $balm->subject->texture->class());

        self::assertSame(
            TextureClass::Liquid,
            self::assess(self::formula(['olive-oil' => '100 g']))->subject->texture->class(),
        );
        self::assertSame(
            TextureClass::FirmBalm,
            self::assess(self::formula(['shea-butter' => '100 g']))->subject->texture->class(),
        );
        $soft = self::assess(self::formula(['shea-butter' => '40 g', 'olive-oil' => '60 g'], ProductKind::Balm));
        self::assertContains('texture.slump', self::codes($soft));
        self::assertNotContains('texture.slump', self::codes($balm));
        foreach (
            [
                [1.9, 'liquid'],
                [2, 'pourable'],
                [8, 'soft-salve'],
                [18, 'butter'],
                [32, 'firm-balm'],
                [50, 'stick'],
                [70.1, 'bar'],
            ] as [$solids, $class]
        ) {
            self::assertSame($class, TextureClass::ofSolids($solids)->value);
        }
    }

    public function test_life_is_the_shorter_of_blend_and_weakest_line(): void
    {
        // Half olive (18 months), half hemp (9): harmonic mean 12, weakest 9.
        $assessment = self::assess(self::formula(['olive-oil' => '50 g', 'hemp-seed-oil' => '50 g']));
        self::assertEqualsWithDelta(9.0, $assessment->subject->life->months->best, 1e-6);
        self::assertStringContainsString('12 (', $assessment->subject->life->reasons[0]);

        $kept = self::assess(self::formula(['olive-oil' => '50 g', 'hemp-seed-oil' => '50 g', 'vitamin-e' => '0.5 g']));
        self::assertEqualsWithDelta(9.0 * 1.35, $kept->subject->life->months->best, 1e-6);

        $cold = self::formula(['olive-oil' => '50 g', 'hemp-seed-oil' => '50 g'])->withUse(false, false, 10.0);
        self::assertEqualsWithDelta(
            9 * 1.5,
            self::assess($cold)->subject->life->months->best,
            1e-6,
            'cold helps by half at most',
        );
        $cool = self::formula(['olive-oil' => '50 g', 'hemp-seed-oil' => '50 g'])->withUse(false, false, 16.0);
        self::assertEqualsWithDelta(9 * 2 ** 0.4, self::assess($cool)->subject->life->months->best, 1e-6);
    }

    public function test_water_caps_life(): void
    {
        $months = self::assess(self::formula(['olive-oil' => '90 g', 'aloe-gel' => '10 g']))->subject->life->months;
        self::assertEqualsWithDelta(7 / 30.44, $months->best, 1e-9);
        self::assertEqualsWithDelta(7 / 30.44, $months->high, 1e-9);
    }

    public function test_allergens_rags_and_strangers_are_named(): void
    {
        $codes = self::codes(
            self::assess(
                self::formula(['sweet-almond-oil' => '50 g', 'flaxseed-oil' => '50 g', 'unicorn dust' => '5 g']),
            ),
        );

        self::assertSame([], array_diff(['allergen', 'drying-oil.rags', 'ingredient.unknown'], $codes));
    }

    public function test_findings_come_worst_first(): void
    {
        $ranks = array_map(
            static fn ($f): int => $f->severity->rank(),
            self::assess(
                self::formula([
                    'sweet-almond-oil' => '50 g',
                    'water' => '10 g',
                    'amla' => '3 g',
                    'rosemary-eo' => '90 drops',
                ]),
            )->findings,
        );
        $sorted = $ranks;
        sort($sorted);
        self::assertSame($sorted, $ranks);
    }

    public function test_assessment_has_no_hidden_state(): void
    {
        $formula = self::formula(['shea-butter' => '2 cups', 'castor-oil' => '3 tbsp', 'rosemary-eo' => 'a few drops']);
        self::assertSame(json_encode(self::assess($formula)), json_encode(self::assess($formula)));
    }

    public function test_selling_points_to_the_law_and_to_a_challenge_test(): void
    {
        $dry = self::formula(['olive-oil' => '100 g'])->withUse(false, true, 20.0);
        self::assertSame(['sale.law'], self::codes(self::assess($dry)));
        $milk = self::formula([
            'olive-oil' => '20 g',
            'emulsifying-wax' => '6 g',
            'water' => '73 g',
            'phenoxyethanol-ehg' => '0.9 %',
        ])->withUse(false, true, 20.0);
        self::assertContains('sale.challenge-test', self::codes(self::assess($milk)));
    }

    public function test_every_rule_and_working_has_its_page(): void
    {
        $assessment = self::assess(
            self::formula(
                [
                    'shea-butter' => '1 cup',
                    'sweet-almond-oil' => '10 %',
                    'flaxseed-oil' => 'about 30 g',
                    'water' => '10 g',
                    'amla' => '3 g',
                    'clove-bud-eo' => '90 drops',
                    'vitamin-e' => '0.5 g',
                    'unicorn dust' => '5 g',
                    'potassium-sorbate' => '9 g',
                ],
                ProductKind::Balm,
                wetUse: true,
            )->withUse(true, true, 20.0),
        );
        $pages = [
            ...array_map(static fn ($f): string => $f->method, $assessment->findings),
            ...array_map(
                static fn ($p): string => $p->grams->working->method,
                $assessment->subject->composition->portions,
            ),
        ];
        self::assertGreaterThan(6, count(array_unique($pages)));
        foreach (array_unique($pages) as $page) {
            self::assertFileExists(dirname(__DIR__, 3).'/docs/methods/'.$page.'.md');
        }
    }

    public function test_of_several_it_is_said_in_the_plural(): void
    {
        $one = self::finding(
            self::assess(self::formula(['flaxseed-oil' => '9 g', 'olive-oil' => '9 g'])),
            'drying-oil.rags',
        );
        $two = self::finding(
            self::assess(self::formula(['flaxseed-oil' => '9 g', 'hemp-seed-oil' => '9 g'])),
            'drying-oil.rags',
        );

        self::assertStringStartsWith('Flaxseed oil dries in air', $one->message());
        self::assertStringContainsString(' and ', $two->message());
        self::assertStringContainsString(' dry in air', $two->message());
    }
}
