<?php

declare(strict_types=1);

namespace Tests\Feature;

final class DesignTest extends StudioTestCase
{
    private const BUTTER = "Butter\n60 g shea butter\n20 g cocoa butter\n20 g sweet almond oil\n1 g vitamin e";

    /**
     * @param  list<array{string, string}>  $wishes
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function wish(array $wishes, string $text = self::BUTTER, array $more = []): array
    {
        return $this->got('DesignAnswer', 'POST', 'design', [
            'formula' => $this->read($text),
            'head_id' => null,
            'wishes' => array_map(static fn (array $w): array => ['kind' => $w[0], 'of' => $w[1]], $wishes),
            ...$more,
        ]);
    }

    public function test_softer_is_a_quarter_softer_and_stays_near(): void
    {
        $now = $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $this->read(self::BUTTER),
            'head_id' => null,
        ])['assessment']['solids']['25'];
        $answer = $this->wish([['softer', '']]);
        self::assertSame('found', $answer['answer']['status']);
        self::assertEqualsWithDelta($now * 0.75, $answer['assessment']['solids']['25'], 0.2);
        self::assertEqualsWithDelta(
            101.0,
            $answer['assessment']['total_grams']['best'],
            0.2,
            'the batch is as large as before',
        );
        self::assertEqualsWithDelta(100.0, array_sum($answer['answer']['shares']), 0.001);
        self::assertContains('vitamin-e', array_keys($answer['answer']['shares']), 'what is no fat keeps its share');
    }

    public function test_cheaper_keeps_the_scent_and_needs_every_price(): void
    {
        $text = "Butter\n60 g shea butter\n20 g jojoba oil\n19 g olive oil\n1 g lavender essential oil";
        $asked = ['formula' => $this->read($text), 'head_id' => null, 'wishes' => [['kind' => 'cheaper', 'of' => '']]];
        self::assertStringContainsString(
            'Shea butter',
            (string) $this->ask('POST', 'design', $asked)->assertStatus(422)->json('message'),
        );
        foreach (['shea-butter' => 14, 'jojoba-oil' => 46, 'olive-oil' => 9, 'lavender-eo' => 210] as $id => $price) {
            $this->ask('PUT', 'ingredients/'.$id.'/figures', [
                'form' => '',
                'property' => 'price_per_kg',
                'low' => $price,
                'best' => $price,
                'high' => $price,
                'source' => 'a receipt',
            ])->assertStatus(204);
        }
        $now = $this->got('Evaluation', 'POST', 'evaluate', $asked)['assessment']['cost'];
        $answer = $this->wish([['cheaper', '']], $text);

        // 60 x 14 + 20 x 46 + 19 x 9 + 1 x 210, in thousandths.
        self::assertEqualsWithDelta(2.141, $now['known']['best'], 1e-9);
        self::assertEqualsWithDelta(1.0, $answer['answer']['shares']['lavender-eo'], 1e-6);
        self::assertEqualsWithDelta(round(0.86 * 2.141, 2), $answer['assessment']['cost']['per_100g'], 0.006);
    }

    public function test_a_scent_never_grows(): void
    {
        $answer = $this->wish(
            [['lighter', '']],
            "Butter\n60 g shea butter\n38 g jojoba oil\n1 g lavender essential oil",
        );
        self::assertLessThanOrEqual(100 / 99 + 1e-6, $answer['answer']['shares']['lavender-eo'] ?? 0.0);
        self::assertNotContains('stop', array_column($answer['assessment']['findings'], 'severity'));
    }

    public function test_no_nuts_takes_a_stand_in_and_keeps_the_texture(): void
    {
        $answer = $this->wish([['without', 'tree nut']]);
        self::assertNotContains('sweet-almond-oil', array_column($answer['formula']['lines'], 'ingredient'));
        self::assertNotContains('allergen', array_column($answer['assessment']['findings'], 'code'));
        self::assertStringContainsString('effective solids', $answer['demands'][0]['words']);
    }

    public function test_safe_for_a_child_of_two_to_six(): void
    {
        $answer = $this->wish(
            [['safe-for', 'child-2-6']],
            "Oil\n95 g jojoba oil\n4 g lavender essential oil\n2 g peppermint essential oil",
        );
        $shares = $answer['answer']['shares'];
        self::assertArrayNotHasKey('peppermint-eo', $shares);
        self::assertLessThanOrEqual(0.5 + 1e-6, $shares['lavender-eo'] ?? 0.0);
    }

    public function test_use_up_and_locked_lines(): void
    {
        $answer = $this->wish([['use-up', 'baobab-oil']]);
        self::assertGreaterThanOrEqual(15.0 - 1e-6, $answer['answer']['shares']['baobab-oil']);
        $formula = $this->read(self::BUTTER);
        $formula['lines'][0]['locked'] = true;
        $locked = $this->got('DesignAnswer', 'POST', 'design', [
            'formula' => $formula,
            'head_id' => null,
            'wishes' => [['kind' => 'without', 'of' => 'tree nut']],
        ]);
        self::assertEqualsWithDelta((60 / 101) * 100, $locked['answer']['shares']['shea-butter'], 0.01);
    }

    public function test_edited_demands_are_taken_and_contradictions_named(): void
    {
        $answer = $this->wish([], self::BUTTER, [
            'demands' => [
                ['kind' => 'solids', 'min' => 45, 'max' => null, 'of' => '', 'at' => 25],
                ['kind' => 'weight', 'min' => null, 'max' => 2, 'of' => '', 'at' => 25],
            ],
        ]);
        self::assertSame('impossible', $answer['answer']['status']);
        self::assertNull($answer['formula']);
        self::assertNotSame([], $answer['answer']['conflict']);
        self::assertNotSame([], $answer['answer']['relax']);
        $this->ask('POST', 'design', [
            'formula' => $this->read(self::BUTTER),
            'head_id' => null,
            'wishes' => [['kind' => 'richest', 'of' => '']],
        ])->assertStatus(422);
        $this->ask('POST', 'design', [
            'formula' => ['title' => 'Empty'],
            'head_id' => null,
            'wishes' => [],
        ])->assertStatus(422);
        $this->ask('POST', 'design', [
            'formula' => $this->read(self::BUTTER),
            'head_id' => null,
            'wishes' => [['kind' => 'use-up', 'of' => 'unicorn']],
        ])->assertStatus(422);
    }

    private const THREE = "Oil\n50 g olive oil\n30 g castor oil\n20 g jojoba oil\n1 g vitamin e";

    public function test_what_is_made_best_is_the_makers_to_say(): void
    {
        $lightest = $this->wish([], self::THREE, [
            'goals' => ['lightest'],
            'demands' => [['kind' => 'share', 'of' => 'castor-oil', 'min' => 15]],
        ]);
        $lasting = $this->wish([], self::THREE, [
            'goals' => ['lasting', 'lightest'],
            'demands' => [['kind' => 'share', 'of' => 'castor-oil', 'min' => 15]],
        ]);

        self::assertSame(
            ['optimal', 'Nothing lighter meets them.'],
            [$lightest['answer']['status'], $lightest['none']],
        );
        self::assertSame('Nothing that keeps longer meets them.', $lasting['none']);
        self::assertLessThan($lasting['assessment']['weight_index'] + 1e-6, $lightest['assessment']['weight_index']);
        self::assertGreaterThanOrEqual(
            $lightest['assessment']['life_months']['best'] - 1e-6,
            $lasting['assessment']['life_months']['best'],
        );
        self::assertEqualsWithDelta(15.0, $lightest['answer']['shares']['castor-oil'], 0.01);
    }

    public function test_serves_most_goes_by_the_head_or_by_a_need_that_is_named(): void
    {
        $ask = [
            'formula' => $this->read(self::THREE),
            'head_id' => null,
            'wishes' => [],
            'demands' => [['kind' => 'weight', 'max' => 4]],
            'goals' => ['service'],
        ];
        self::assertStringContainsString(
            'need',
            (string) $this->ask('POST', 'design', $ask)->assertStatus(422)->json('message'),
        );

        $named = $this->got('DesignAnswer', 'POST', 'design', [...$ask, 'serves' => ['sealing']]);
        $head = $this->got('DesignAnswer', 'POST', 'design', [...$ask, 'head_id' => $this->headOf()['id']]);
        self::assertSame(['optimal', 'optimal'], [$named['answer']['status'], $head['answer']['status']]);
        self::assertGreaterThan(0.0, $named['answer']['objective']);
        // The advice of the refusal is good: whoever asks for points for a need has named it.
        $points = $this->got('DesignAnswer', 'POST', 'design', [
            ...$ask,
            'demands' => [['kind' => 'need', 'of' => 'sealing', 'min' => 1], ...$ask['demands']],
        ]);
        self::assertEqualsWithDelta($named['answer']['objective'], $points['answer']['objective'], 1e-6);
        $this->ask('POST', 'design', [...$ask, 'serves' => ['world-peace']])
            ->assertStatus(422)
            ->assertJsonValidationErrorFor('serves.0');
        $this->ask('POST', 'design', [...$ask, 'goals' => ['richest']])
            ->assertStatus(422)
            ->assertJsonValidationErrorFor('goals.0');
    }

    public function test_simple_parts_are_offered_where_they_cost_little(): void
    {
        $answer = $this->wish([], "Oil\n51 g olive oil\n33 g castor oil\n16 g jojoba oil\n1 g vitamin e", [
            'demands' => [['kind' => 'share', 'of' => 'castor-oil', 'max' => 40]],
        ]);

        self::assertSame('3 olive oil, 2 castor oil, 1 jojoba oil', $answer['simple']['words']);
        self::assertEqualsWithDelta(
            $answer['assessment']['lines'][3]['shown_percent'],
            $answer['simple']['assessment']['lines'][3]['shown_percent'],
            0.05,
            'vitamin E is no part',
        );
        self::assertEqualsWithDelta(
            1.5,
            $answer['simple']['assessment']['lines'][0]['grams']['best']
                / $answer['simple']['assessment']['lines'][1]['grams']['best'],
            0.01,
        );
        self::assertNull(
            $this->wish([], self::BUTTER, [
                'demands' => [['kind' => 'share', 'of' => 'shea-butter', 'min' => 70.4, 'max' => 70.5]],
            ])['simple'],
        );
    }

    public function test_no_more_ingredients_than_are_asked_for(): void
    {
        $answer = $this->wish([], self::THREE, [
            'most_ingredients' => 3,
            'demands' => [['kind' => 'weight', 'max' => 4.5]],
        ]);

        self::assertCount(3, $answer['formula']['lines']);
    }

    public function test_safe_for_a_pregnancy_takes_out_what_is_to_be_avoided(): void
    {
        $answer = $this->wish(
            [['safe-for', 'pregnancy']],
            "Oil\n100 g olive oil\n3 drops clove bud essential oil\n3 drops lavender essential oil",
        );

        self::assertArrayNotHasKey('clove-bud-eo', $answer['answer']['shares']);
        self::assertArrayHasKey('lavender-eo', $answer['answer']['shares']);
    }

    public function test_nothing_comes_in_that_brings_an_animal_or_an_allergen(): void
    {
        $vegan = "Balm\n15 g candelilla wax\n20 g mango butter\n35 g castor oil\n30 g avocado oil";
        $byBees = "Balm\n15 g beeswax\n20 g mango butter\n35 g castor oil\n30 g avocado oil";
        foreach (['keeps-longer', 'firmer', 'richer', 'lighter', 'softer'] as $wish) {
            $answer = $this->wish([[$wish, '']], $vegan);
            $new = array_diff(array_keys($answer['answer']['shares']), [
                'candelilla-wax',
                'mango-butter',
                'castor-oil',
                'avocado-oil',
            ]);
            foreach ($new as $id) {
                $ingredient = $this->got('IngredientPage', 'GET', 'ingredients/'.$id)['ingredient'];
                self::assertSame(
                    [true, []],
                    [$ingredient['vegan'], $ingredient['allergens']],
                    $wish.' brought '.$id,
                );
            }
            self::assertLessThanOrEqual(4 + 2, count($answer['answer']['shares']), $wish.' stays in one breath');
        }
        $longer = $this->wish([['keeps-longer', '']], $byBees);
        self::assertSame('found', $longer['answer']['status']);
    }

    public function test_firmer_and_richer_reach_for_what_makers_reach_for(): void
    {
        $firmer = $this->wish([['firmer', '']], self::THREE);
        $richer = $this->wish([['richer', '']], "Oil\n60 g jojoba oil\n40 g grapeseed oil");

        self::assertArrayHasKey('candelilla-wax', $firmer['answer']['shares']);
        self::assertArrayHasKey('castor-oil', $richer['answer']['shares']);
    }

    public function test_what_cannot_be_is_said_by_its_name(): void
    {
        $milk = "Milk\n80 g water\n6 g emulsifying wax\n13 g sunflower oil\n1 g phenoxyethanol";
        $useUp = $this->wish([['use-up', 'baobab-oil']], $milk);
        self::assertSame(
            ['impossible', ['baobab oil at least 15 %']],
            [$useUp['answer']['status'], $useUp['answer']['conflict']],
        );
        $edited = $this->wish([], $milk, [
            'demands' => [['kind' => 'share', 'of' => 'baobab-oil+argan-oil', 'min' => 40]],
        ]);
        self::assertSame(['baobab oil and argan oil at least 40 %'], $edited['answer']['conflict']);

        $cupboard = $this->wish([['at-hand', '']], $milk)['answer'];
        self::assertSame('only from the cupboard', $cupboard['conflict'][0]);
        self::assertStringContainsString('emulsifying wax', $cupboard['conflict'][1]);
    }

    public function test_an_oil_that_was_thrown_away_or_is_wet_is_nowhere_offered_to_come_in(): void
    {
        $strained = function (string $form): array {
            $steep = $this->steep('rosemary', $form, today()->subDays(30)->toDateString());

            return $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
                'revision' => $steep['revision'],
                'yield_grams' => 300,
                'loss_grams' => 0,
            ])['lot'];
        };
        [$dry, $wet] = [$strained('dried'), $strained('fresh')];
        $formula = $this->read("Oil\n60 g olive oil\n40 g castor oil");
        $swaps = fn (): array => array_column(
            $this->got('SwapAnswer', 'POST', 'swap', ['formula' => $formula, 'head_id' => null, 'line' => 'l1'])[
                'swaps'
            ],
            'id',
        );
        // Only what stands here: castor oil, but no more than now, and the two that were strained.
        $this->ask('PUT', 'ingredients/castor-oil/cupboard', ['grams' => 500])->assertSuccessful();
        $here = fn (): array => $this->wish([['at-hand', '']], "Oil\n60 g olive oil\n40 g castor oil", [
            'demands' => [['kind' => 'share', 'of' => 'castor-oil', 'max' => 40]],
        ])['answer'];

        // What was strained from olive oil is as near to it as anything is.
        self::assertContains($dry['ingredient'], $swaps());
        self::assertEqualsCanonicalizing([$dry['ingredient'], 'castor-oil'], array_keys($here()['shares']));

        $this->got('LotWithdrawn', 'PUT', 'lots/'.$dry['id'].'/withdrawn', ['reason' => 'Smells old']);
        self::assertNotContains($dry['ingredient'], $swaps());
        self::assertSame('impossible', $here()['status'], 'the wet one is left where it is');
        $useUp = $this->wish([['use-up', $dry['ingredient']]], "Oil\n60 g olive oil\n40 g castor oil")['answer'];
        self::assertArrayNotHasKey($dry['ingredient'], $useUp['shares'] ?? []);
    }
}
