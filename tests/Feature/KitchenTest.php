<?php

declare(strict_types=1);

namespace Tests\Feature;

use Symfony\Component\Process\Process;

/** What the bench asks of cupboard and kitchen: stock, stand-ins, bowl, skeletons, what was forgotten. */
final class KitchenTest extends StudioTestCase
{
    private const BUTTER = "Butter\n60 g shea butter\n39 g sweet almond oil\n1 g vitamin e";

    /** @return array<string, mixed> */
    private function draft(string $text = self::BUTTER): array
    {
        return ['formula' => $this->read($text), 'head_id' => null];
    }

    public function test_the_largest_batch_that_the_cupboard_allows(): void
    {
        $none = $this->got('StockAnswer', 'POST', 'stock', $this->draft());
        self::assertSame(0, $none['largest_grams']);
        foreach (['shea-butter' => 300, 'sweet-almond-oil' => 156, 'vitamin-e' => 50] as $id => $grams) {
            $this->ask('PUT', 'ingredients/'.$id.'/cupboard', ['grams' => $grams])->assertStatus(204);
        }
        $stock = $this->got('StockAnswer', 'POST', 'stock', $this->draft());

        // 156 g of almond at 39 %: 400 g; then 60 g of shea and 46 g of vitamin E remain.
        self::assertEqualsWithDelta(400.0, $stock['largest_grams'], 0.05);
        self::assertSame(['Sweet almond oil'], $stock['limiting']);
        self::assertEqualsWithDelta([60.0, 0.0, 46.0], array_column($stock['rows'], 'left_of_largest'), 0.05);
        self::assertSame(300, $this->got('IngredientPage', 'GET', 'ingredients/shea-butter')['stock_grams']);
    }

    public function test_there_without_an_amount_is_said_and_an_amount_is_not_lost_by_ticking_again(): void
    {
        $this->ask('PUT', 'ingredients/shea-butter/cupboard', ['grams' => 250])->assertStatus(204);
        $this->ask('PUT', 'ingredients/shea-butter/cupboard', [])->assertStatus(204);
        self::assertSame(250, $this->got('IngredientPage', 'GET', 'ingredients/shea-butter')['stock_grams']);
        $this->ask('PUT', 'ingredients/shea-butter/cupboard', ['grams' => null])->assertStatus(204);
        self::assertSame(
            ['Shea butter'],
            $this->got('StockAnswer', 'POST', 'stock', $this->draft('60 g shea butter'))['unknown'],
        );
        self::assertStringContainsString(
            '0 g or more',
            (string) $this->ask('PUT', 'ingredients/shea-butter/cupboard', ['grams' => -3])
                ->assertStatus(422)
                ->json('message'),
        );
    }

    public function test_a_steeped_oil_is_stock_until_it_is_withdrawn(): void
    {
        $steep = $this->steep();
        $lot = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 290,
            'loss_grams' => 0,
        ])['lot'];
        $formula = [
            'title' => 'Scalp oil',
            'lines' => [['ingredient' => $lot['ingredient'], 'name' => $lot['name'], 'amount' => '100 g']],
        ];
        self::assertSame(
            290,
            $this->got('StockAnswer', 'POST', 'stock', ['formula' => $formula, 'head_id' => null])[
                'largest_grams'
            ],
        );
        $this->got('LotWithdrawn', 'PUT', 'lots/'.$lot['id'].'/withdrawn', ['reason' => 'Smells old']);
        self::assertSame(
            0,
            $this->got('StockAnswer', 'POST', 'stock', ['formula' => $formula, 'head_id' => null])[
                'largest_grams'
            ],
        );
    }

    public function test_what_could_take_a_lines_place(): void
    {
        $answer = $this->got('SwapAnswer', 'POST', 'swap', ['line' => 'l2'] + $this->draft());
        $now = $this->got('Evaluation', 'POST', 'evaluate', $this->draft())['assessment'];

        self::assertCount(5, $answer['swaps']);
        foreach ($answer['swaps'] as $swap) {
            self::assertNotSame([], $swap['words']);
            self::assertContains($swap['id'], array_column($swap['formula']['lines'], 'ingredient'));
            self::assertEqualsWithDelta(
                $now['solids']['25'],
                $swap['assessment']['solids']['25'],
                max(1.1, $now['solids']['25'] * 0.11),
            );
        }
        $this->ask('POST', 'swap', ['line' => 'nowhere'] + $this->draft())->assertStatus(422);
        $this->ask('POST', 'swap', ['line' => 'l1'] + $this->draft('5 g zorblax'))->assertStatus(422);
    }

    public function test_the_bowl_is_a_setting_of_the_studio(): void
    {
        $studio = [
            'name' => 'Loft',
            'maker' => 'Made here',
            'cup' => 'us',
            'scale_grams' => 1,
            'southern' => false,
            'time_zone' => 'UTC',
        ];
        $this->got('Session', 'PUT', 'studio', ['bowl_ml' => 100] + $studio);
        $draft = $this->draft();
        $finding = array_column(
            $this->got('Evaluation', 'POST', 'evaluate', $draft)['assessment']['findings'],
            null,
            'code',
        )['bowl.small'];
        $cured = $this->got('ChangedDraft', 'POST', 'cure', ['change' => $finding['cures'][0]['change']] + $draft);

        self::assertNotContains('bowl.small', array_column($cured['assessment']['findings'], 'code'));
        self::assertSame('mass', $cured['formula']['size']['mode']);
        $this->ask('PUT', 'studio', ['bowl_ml' => -4] + $studio)
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['bowl_ml']]);
    }

    public function test_beside_the_last_version_something_is_missing(): void
    {
        $page = $this->formula(self::BUTTER);
        $this->got('FormulaPage', 'POST', 'formulas/'.$page['id'].'/versions', ['note' => 'Good']);
        $less = ['lines' => array_slice($page['formula']['lines'], 0, 2)] + $page['formula'];
        $saved = $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $less,
            'head_id' => null,
        ]);
        self::assertContains('forgotten', array_column($saved['assessment']['findings'], 'code'));

        $draft = ['formula' => $less, 'head_id' => null];
        self::assertContains(
            'forgotten',
            array_column(
                $this->got('Evaluation', 'POST', 'evaluate', ['before' => $page['formula']] + $draft)[
                    'assessment'
                ]['findings'],
                'code',
            ),
        );
        self::assertNotContains(
            'forgotten',
            array_column($this->got('Evaluation', 'POST', 'evaluate', $draft)['assessment']['findings'], 'code'),
        );
    }

    public function test_a_skeleton_of_every_kind_has_a_reason_for_every_line(): void
    {
        foreach (
            [
                'scalp-oil',
                'hair-oil',
                'sealing-oil',
                'hot-oil',
                'balm',
                'whipped-butter',
                'stirred-butter',
                'conditioner-bar',
                'rinse-out-balm',
                'emulsion',
            ] as $kind
        ) {
            $page = $this->got('FormulaPage', 'POST', 'formulas/skeleton', [
                'kind' => $kind,
                'hair' => null,
                'ingredients' => [],
            ]);
            self::assertSame($kind, $page['formula']['kind']);
            foreach ($page['formula']['lines'] as $line) {
                self::assertStringContainsString($line['name'].': ', $page['formula']['notes'], $kind);
            }
            self::assertNotContains('stop', array_column($page['assessment']['findings'], 'severity'), $kind);
        }
    }

    public function test_a_skeleton_for_a_type_of_hair_and_around_a_ready_steep(): void
    {
        $steep = $this->steep();
        $lot = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 290,
            'loss_grams' => 0,
        ])['lot'];
        $page = $this->got('FormulaPage', 'POST', 'formulas/skeleton', [
            'kind' => 'scalp-oil',
            'hair' => ['strand' => 'fine', 'porosity' => 'low'],
            'ingredients' => [$lot['ingredient']],
        ]);

        self::assertContains($lot['ingredient'], array_column($page['formula']['lines'], 'ingredient'));
        self::assertSame(['strand' => 'fine', 'porosity' => 'low'], $page['hair']);
        self::assertLessThanOrEqual(2.3, $page['assessment']['weight_index']);
        $this->ask('POST', 'formulas/skeleton', [
            'kind' => 'soup',
            'hair' => null,
            'ingredients' => [],
        ])->assertStatus(422);
        $this->ask('POST', 'formulas/skeleton', [
            'kind' => 'balm',
            'hair' => ['strand' => 'woolly', 'porosity' => 'low'],
            'ingredients' => [],
        ])->assertStatus(422);
    }

    public function test_what_a_steeped_oil_costs_reaches_the_formula(): void
    {
        foreach (['olive-oil' => 9, 'rosemary' => 30] as $id => $price) {
            $this->ask('PUT', 'ingredients/'.$id.'/figures', [
                'form' => '',
                'property' => 'price_per_kg',
                'low' => $price,
                'best' => $price,
                'high' => $price,
                'source' => 'a receipt',
            ])->assertStatus(204);
        }
        $steep = $this->steep();
        $lot = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 300,
            'loss_grams' => 0,
        ])['lot'];
        $formula = [
            'title' => 'Scalp oil',
            'lines' => [['ingredient' => $lot['ingredient'], 'name' => $lot['name'], 'amount' => '100 g']],
        ];
        $cost = $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => null])[
            'assessment'
        ]['cost'];

        // 360 g at 9 and 40 g at 30 a kilogram are 4.44, for 300 g: 1.48 for 100 g.
        self::assertEqualsWithDelta(1.48, $cost['per_100g'], 0.001);
        self::assertSame([], $cost['unpriced']);
        $plan = $this->got('CostPlan', 'POST', 'cost', ['formula' => $formula, 'head_id' => null])['rows'][0];
        self::assertSame('steeped', $plan['price_is']);
        self::assertEqualsWithDelta(1.48, $plan['money']['best'], 0.001);
        $stock = $this->got('StockAnswer', 'POST', 'stock', ['formula' => $formula, 'head_id' => null]);
        self::assertTrue($stock['rows'][0]['steeped']);
    }

    public function test_a_studios_own_price_for_a_steeped_oil_counts_before_what_went_in(): void
    {
        $steep = $this->steep();
        $lot = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 300,
            'loss_grams' => 0,
        ])['lot'];
        $this->ask('PUT', 'ingredients/'.$lot['ingredient'].'/figures', [
            'form' => '',
            'property' => 'price_per_kg',
            'low' => 20,
            'best' => 20,
            'high' => 20,
            'source' => 'what we charge ourselves',
        ])->assertStatus(204);
        $formula = [
            'title' => 'Scalp oil',
            'lines' => [['ingredient' => $lot['ingredient'], 'name' => $lot['name'], 'amount' => '100 g']],
        ];

        self::assertEqualsWithDelta(
            2.0,
            $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => null])['assessment'][
                'cost'
            ]['per_100g'],
            0.001,
        );
    }

    public function test_share_is_moved_between_two_lines_and_judged(): void
    {
        $moved = $this->got(
            'ChangedDraft',
            'POST',
            'reshare',
            ['from' => 'l1', 'to' => 'l2', 'points' => 10] + $this->draft(),
        );
        self::assertSame(['50 g', '49 g', '1 g'], array_column($moved['formula']['lines'], 'amount'));
        self::assertEqualsWithDelta(50.0, $moved['assessment']['lines'][0]['shown_percent'], 0.01);
        self::assertStringContainsString(
            'another line',
            (string) $this->ask('POST', 'reshare', ['from' => 'l1', 'to' => 'l1', 'points' => 10] + $this->draft())
                ->assertStatus(422)
                ->json('errors.to.0'),
        );
        $this->ask(
            'POST',
            'reshare',
            ['from' => 'l1', 'to' => 'l2', 'points' => 400] + $this->draft(),
        )->assertStatus(422);
    }

    public function test_a_version_keeps_what_its_jar_shows(): void
    {
        $page = $this->formula(self::BUTTER);
        $kept = $this->got('FormulaPage', 'POST', 'formulas/'.$page['id'].'/versions', ['note' => 'Good']);

        self::assertEqualsWithDelta(
            [60.0, 39.0, 1.0],
            array_column($kept['versions'][0]['bands'], 'percent'),
            0.05,
        );
        self::assertSame($page['assessment']['texture_label'], $kept['versions'][0]['texture']);
    }

    public function test_a_formula_on_one_sheet_of_paper(): void
    {
        $page = $this->formula(
            "Loft butter\n60 g shea butter\n39 g sweet almond oil\n9 g rosemary essential oil\nMelt the shea gently.",
        );
        $pdf = (string) $this->ask('GET', '/papers/formulas/'.$page['id'].'/sheet.pdf')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent();
        $text = (string) preg_replace(
            '/\s+/',
            ' ',
            (new Process(['pdftotext', '-layout', '-', '-'], null, null, $pdf))->mustRun()->getOutput(),
        );

        foreach (
            [
                'Loft butter',
                'Shea butter',
                '60.0',
                '108.0 100.0',
                'Melt the shea gently.',
                'Without a scale',
                'Stop.',
                'never leave oil on the heat',
            ] as $words
        ) {
            self::assertStringContainsString($words, $text);
        }
    }

    public function test_only_from_the_cupboard_and_no_more_than_there_is(): void
    {
        foreach (
            [
                'shea-butter' => 20,
                'mango-butter' => 500,
                'jojoba-oil' => 500,
                'olive-oil' => 500,
                'vitamin-e' => 50,
            ] as $id => $grams
        ) {
            $this->ask('PUT', 'ingredients/'.$id.'/cupboard', ['grams' => $grams])->assertStatus(204);
        }
        $answer = $this->got(
            'DesignAnswer',
            'POST',
            'design',
            ['wishes' => [['kind' => 'at-hand', 'of' => '']]] + $this->draft(),
        );

        self::assertSame('found', $answer['answer']['status']);
        self::assertArrayNotHasKey('sweet-almond-oil', $answer['answer']['shares']);
        self::assertLessThanOrEqual(20.0 + 1e-6, $answer['answer']['shares']['shea-butter'] ?? 0.0);
        self::assertEqualsWithDelta(1.0, $answer['answer']['shares']['vitamin-e'], 1e-6);
        $this->ask('DELETE', 'ingredients/vitamin-e/cupboard')->assertStatus(204);
        self::assertSame(
            'impossible',
            $this->got(
                'DesignAnswer',
                'POST',
                'design',
                ['wishes' => [['kind' => 'at-hand', 'of' => '']]] + $this->draft(),
            )['answer']['status'],
        );
    }
}
