<?php

declare(strict_types=1);

namespace Tests\Core\Papers;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Formula\Audience;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Make\Actuals;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Measure\Kitchen;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

final class MakeAndLabelTest extends CoreTestCase
{
    public function test_weighings_go_phase_by_phase(): void
    {
        $sheet = new MakeSheet(
            self::assess(
                self::formula(
                    [
                        'rosemary-eo' => '20 drops',
                        'olive-oil' => '60 g',
                        'shea-butter' => '140 g',
                        'arrowroot' => '5 g',
                    ],
                    ProductKind::WhippedButter,
                ),
            ),
        );

        self::assertSame(
            [Phase::Melt, Phase::Warm, Phase::CoolDown, Phase::WhipIn],
            array_map(static fn ($w): Phase => $w->phase, $sheet->weighings()),
        );
        self::assertEqualsWithDelta(1.4, $sheet->weighings()[0]->toleranceGrams, 1e-9);
        self::assertTrue($sheet->weighings()[0]->isWithin(141.3));
        self::assertFalse($sheet->weighings()[0]->isWithin(141.6));
        $words = implode(' ', array_map(static fn ($t): string => $t->words(), $sheet->tasks()));
        foreach (['Melt', 'burn', 'At the warmth at which it is whipped', 'Whip 8 to 12', 'Sift', 'label'] as $word) {
            self::assertStringContainsString($word, $words);
        }
    }

    public function test_actual_weights_give_the_shares_anew(): void
    {
        $formula = self::formula(['olive-oil' => '75 g', 'jojoba-oil' => '25 g']);
        $actual = self::assess(Actuals::of($formula, ['l1' => Put::weighed(80.0), 'l2' => Put::weighed(20.0)]));

        self::assertEqualsWithDelta(80.0, $actual->subject->composition->portions[0]->percent(), 1e-9);
        self::assertCount(
            1,
            Actuals::of($formula, ['l1' => Put::weighed(80.0), 'l2' => Put::leftOut()])->lines,
            'what was not poured is not in it',
        );
        $this->expectException(FormulaError::class);
        Actuals::of($formula, ['l9' => Put::weighed(5.0)]);
    }

    public function test_label_names_inci_by_falling_share_and_allergens(): void
    {
        $assessment = self::assess(
            self::formula([
                'vitamin-e' => '0.5 g',
                'sweet-almond-oil' => '30 g',
                'olive-oil' => '68 g',
                'lemon-expressed-eo' => '15 drops',
            ]),
        );
        $label = new Label($assessment, 'T-1', 95.0, new DateTimeImmutable('2027-01-04'), 'Two Sisters');

        self::assertStringStartsWith('Olea Europaea Fruit Oil, Prunus Amygdalus Dulcis Oil, ', $label->ingredients());
        self::assertStringEndsWith('Limonene, Linalool, Citral, Pinene, Terpineol', $label->ingredients());
        self::assertSame(['tree nut'], $label->contains());
        self::assertStringContainsString('essential oils', implode(' ', $label->cautions()));
        // Almond, 9 months at least x 1.2 with the antioxidant: 10.8 months of 30.44 days.
        self::assertSame('2027-11-28', $label->keeping()->bestBefore->format('Y-m-d'));
        self::assertSame(6, $label->keeping()->openedMonths);
    }

    public function test_rinsed_products_name_fragrance_allergens_from_a_hundredth(): void
    {
        // Citral of lemon, 3.5 % of 0.15 % at worst: 0.005 %, above 0.001 but under 0.01.
        $formula = self::formula(['olive-oil' => '100 g', 'lemon-expressed-eo' => '0.15 %']);
        $words = static fn ($f): string => (new Label(
            self::assess($f, 0.01),
            'T',
            1,
            new DateTimeImmutable('2027-01-04'),
            '',
        ))->ingredients();

        self::assertStringContainsString('Citral', $words($formula));
        self::assertStringNotContainsString(
            'Citral',
            $words($formula->withAudience(\Crown\Formula\Audience::AdultRinseOff)),
        );
    }

    public function test_every_scent_allergen_that_is_known_is_named_as_the_law_writes_it(): void
    {
        $ingredients = static fn (string $oil): string => (new Label(
            self::assess(self::formula(['olive-oil' => '99 g', $oil => '1 g'])),
            'L1',
            50.0,
            new DateTimeImmutable('2026-12-01'),
            '',
        ))->ingredients();

        foreach (['Benzyl Benzoate', 'Benzyl Salicylate', 'Farnesol', 'Linalool', 'Eugenol', 'Geraniol'] as $name) {
            self::assertStringContainsString($name, $ingredients('ylang-ylang-eo'));
        }
        self::assertStringContainsString('Cinnamal', $ingredients('cinnamon-bark-eo'));
        self::assertStringContainsString('Santalol', $ingredients('sandalwood-eo'));
        foreach (['tea-tree-eo', 'rosemary-eo', 'lavender-eo', 'peppermint-eo'] as $oil) {
            self::assertStringContainsString('Limonene', $ingredients($oil), $oil);
        }
        self::assertStringNotContainsString('Limonene', $ingredients('jojoba-oil'));
    }

    public function test_whom_it_is_not_for_stands_on_the_label(): void
    {
        $cautions = static fn (array $lines, Audience $audience = Audience::AdultLeaveOn): string => implode(
            ' ',
            (new Label(
                self::assess(self::formula($lines, audience: $audience)),
                'L1',
                50.0,
                new DateTimeImmutable('2026-12-01'),
                '',
            ))->cautions(),
        );

        $saw = $cautions(['saw-palmetto' => '5 g', 'olive-oil' => '95 g']);
        self::assertStringContainsString('Not for children under 18.', $saw);
        self::assertStringContainsString('Not in pregnancy or while nursing.', $saw);
        $mild = $cautions(['lavender-eo' => '0.5 g', 'olive-oil' => '99 g']);
        self::assertStringContainsString('Not for children under 6.', $mild);
        self::assertStringContainsString('ask first', $mild);
        $plain = $cautions(['olive-oil' => '100 g']);
        self::assertStringNotContainsString('pregnancy', $plain);
        self::assertStringNotContainsString('children under', $plain);
        self::assertStringContainsString('hair and scalp only', $plain);
        self::assertStringContainsString('hairline and face', $cautions(['olive-oil' => '100 g'], Audience::Face));
        $sun = ['bergamot-expressed-eo' => '0.1 g', 'olive-oil' => '99 g'];
        self::assertStringContainsString('out of the sun', $cautions($sun));
        self::assertStringNotContainsString('out of the sun', $cautions($sun, Audience::AdultRinseOff));
    }

    public function test_a_bought_blend_stands_by_the_true_share_of_each_of_its_parts(): void
    {
        $names = explode(', ', self::labelOf([
            'btms-50' => '6 g',
            'olive-oil' => '92.5 g',
            'lavender-eo' => '1.5 g',
        ])->ingredients());

        // Half of 6 % is the conditioning agent, 40 % the alcohol: both before the scent of 1.5 %.
        self::assertSame(
            [
                'Olea Europaea Fruit Oil',
                'Behentrimonium Methosulfate',
                'Cetyl Alcohol',
                'Lavandula Angustifolia Oil',
                'Butylene Glycol',
            ],
            array_slice($names, 0, 5),
        );
    }

    public function test_an_oil_steeped_in_two_oils_names_both_by_their_shares_and_the_plant_under_one_per_cent(): void
    {
        $day = new DateTimeImmutable('2027-03-01');
        $plan = SteepPlan::begun(
            new Charge(
                [new Herb(self::catalogue()->get('calendula'), 'dried', 40, $day)],
                [
                    new Pour(self::catalogue()->get('olive-oil'), 100, $day),
                    new Pour(self::catalogue()->get('jojoba-oil'), 300, $day),
                ],
            ),
            SteepMethod::ColdDark,
        );
        $parts = (new SteepYield($plan, 330))->ingredient('lot-1', 'Calendula oil')->inciShares();

        self::assertSame(
            ['Olea Europaea Fruit Oil', 'Simmondsia Chinensis Seed Oil', self::catalogue()->get('calendula')->inci],
            array_keys($parts),
        );
        self::assertEqualsWithDelta([0.25, 0.75, 0.009], array_values($parts), 1e-9);
    }

    public function test_an_essential_oil_of_which_nothing_is_known_says_so(): void
    {
        $own = (new OwnEntry(
            'own-1',
            'Garden blend essential oil',
            '',
            IngredientKind::EssentialOil,
            null,
            [],
            [],
            true,
            [],
        ))->ingredient();
        $line = new Line('l2', 'own-1', $own->name, new WrittenAmount('1 g'), '', Phase::CoolDown);
        $formula = self::formula(['olive-oil' => '99 g']);
        $formula = $formula->withLines([...$formula->lines, $line]);
        $label = new Label(
            Assessor::standard()->assess($formula, new Context(self::catalogue()->with($own), new Kitchen())),
            'L1',
            50.0,
            new DateTimeImmutable('2027-03-01'),
            '',
        );

        self::assertContains('Scent allergens of garden blend essential oil: not known.', $label->cautions());
        self::assertSame(
            [],
            array_filter(
                self::labelOf(['olive-oil' => '99 g', 'lavender-eo' => '1 g'])->cautions(),
                static fn (string $c): bool => str_contains($c, 'not known'),
            ),
        );
    }

    /** @param  array<string, string>  $lines */
    private static function labelOf(array $lines): Label
    {
        return new Label(self::assess(self::formula($lines)), 'L1', 50.0, new DateTimeImmutable('2027-03-01'), '');
    }
}
