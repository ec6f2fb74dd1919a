<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;

final class HeadTest extends StudioTestCase
{
    public function test_only_the_name_must_be_known(): void
    {
        $head = $this->got('Head', 'POST', 'heads', ['name' => 'Someone']);
        self::assertSame('not-known', $head['strand']);
        self::assertEqualsWithDelta(
            [1.2, 4.7],
            [$head['weight_lengths']['low'], $head['weight_lengths']['high']],
            1e-6,
            'what is not known widens what may suit',
        );
        $this->ask('POST', 'heads', ['name' => ''])
            ->assertStatus(422)
            ->assertJsonValidationErrors('name');
        $this->ask('POST', 'heads', ['name' => 'x', 'wants' => ['riches']])
            ->assertStatus(422)
            ->assertJsonValidationErrors('wants.0');
        $this->ask('POST', 'heads', [
            'name' => 'x',
            'dislikes' => [['what' => 'coconut', 'season' => 'tuesday']],
        ])->assertStatus(422);
    }

    public function test_the_crown_map_keeps_its_history_and_its_worst_zone_counts(): void
    {
        $head = $this->got('Head', 'POST', 'heads', ['name' => 'Zuri', 'scalp' => 'calm']);
        $mark = fn (string $zone, string $state, int $ago): array => $this->got(
            'Head',
            'POST',
            'heads/'.$head['id'].'/marks',
            ['zone' => $zone, 'state' => $state, 'on' => today()->subDays($ago)->toDateString(), 'note' => ''],
        );
        $mark('nape', 'flaking', 20);
        $now = $mark('crown', 'oily', 10);
        self::assertSame('flaking', $now['scalp_now']);
        self::assertContains('flaking', array_column($now['needs'], 'need'));
        $now = $mark('nape', 'calm', 1);
        self::assertSame('oily', $now['scalp_now']);
        self::assertCount(3, $now['marks']);
        $back = $this->got('Head', 'DELETE', 'head-marks/'.$now['marks'][2]['id']);
        self::assertSame('flaking', $back['scalp_now'], 'a mark taken back lets the one before it speak');
        $this->ask('POST', 'heads/'.$head['id'].'/marks', [
            'zone' => 'chin',
            'state' => 'dry',
            'on' => today()->toDateString(),
            'note' => '',
        ])->assertStatus(422);
    }

    public function test_advice_puts_red_flags_first_then_evidence(): void
    {
        $head = $this->got('Head', 'POST', 'heads', [
            'name' => 'Adaeze',
            'pregnant' => true,
            'age_band' => 'over-12',
            'wants' => ['flaking'],
            'allergies' => ['bee product'],
            'conditions' => ['asthma'],
            'signs' => ['fever'],
        ]);
        $advice = $this->got('HeadAdvice', 'GET', 'heads/'.$head['id'].'/advice');
        self::assertSame(['fever'], $advice['red_flags']);
        $need = $advice['needs'][0];
        $worth = array_column($need['ranked'], 'score');
        self::assertSame(
            $worth,
            array_values(
                array_reverse(
                    array_values(
                        (function (array $w): array {
                            sort($w);

                            return $w;
                        })($worth),
                    ),
                ),
            ),
        );
        $left = array_column($need['left_out'], 'reason', 'id');
        self::assertStringContainsString('bee product', $left['honey']);
        self::assertStringContainsString('pregnancy', $left['salicylic-acid']);

        $this->ask('POST', 'heads/'.$head['id'].'/formula', ['kind' => 'scalp-oil', 'ingredients' => []])
            ->assertStatus(422)
            ->assertJsonValidationErrors('head');
        $this->got('Head', 'PUT', 'heads/'.$head['id'], ['revision' => 1, 'name' => 'Adaeze', 'signs' => []]);
        $made = $this->got('FirstFormulaMade', 'POST', 'heads/'.$head['id'].'/formula', [
            'kind' => 'scalp-oil',
            'ingredients' => ['jojoba-oil', 'honey', 'peppermint-eo'],
        ]);
        $page = $this->got('FormulaPage', 'GET', 'formulas/'.$made['id']);
        self::assertSame($head['id'], $page['head_id']);
        self::assertSame('pregnancy', $page['formula']['audience']);
        self::assertNotContains('honey', array_column($page['formula']['lines'], 'ingredient'));
        self::assertStringContainsString('Honey was left out', implode(' ', $made['remarks']));
        self::assertNotContains(
            'stop',
            array_column($page['assessment']['findings'], 'severity'),
            'a first version stops at nothing',
        );
        self::assertTrue($page['fit']['suits'] || $page['fit']['weight_index'] > 0);
        self::assertStringContainsString('Jojoba oil:', $page['formula']['notes']);
    }

    public function test_the_guide_proposes_or_says_it_cannot_tell(): void
    {
        $guide = $this->got('Guide', 'GET', 'head-guide');
        self::assertSame(['alarming'], $guide['clinician']['scalp']);
        self::assertContains('patchy-loss', $guide['clinician']['signs']);
        self::assertSame(
            ['strand', 'porosity', 'scalp'],
            array_values(array_unique(array_column($guide['questions'], 'trait'))),
        );
        $said = fn (array $answers): array => array_column(
            $this->got('GuideAnswer', 'POST', 'head-guide', ['answers' => $answers])['suggestions'],
            'value',
            'trait',
        );
        self::assertSame(['strand' => 'fine'], $said(['strand-feel' => 'hardly', 'strand-thread' => 'thinner']));
        self::assertSame(['strand' => null], $said(['strand-feel' => 'hardly', 'strand-thread' => 'thicker']));
        self::assertSame([], $said(['made-up' => 'x']));
    }

    public function test_a_formula_is_judged_for_a_head_or_a_type_of_hair(): void
    {
        $formula = $this->read("Heavy\n90 g castor oil\n10 g rosemary essential oil");
        $fit = $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $formula,
            'head_id' => null,
            'hair' => ['strand' => 'fine', 'porosity' => 'low'],
        ]);
        self::assertFalse($fit['fit']['suits']);
        self::assertContains('head.weight', array_column($fit['assessment']['findings'], 'code'));
        $shedding = array_values(
            array_filter($fit['fit']['services'], static fn (array $s): bool => $s['need'] === 'shedding'),
        )[0];
        self::assertSame('Rosemary essential oil', $shedding['lines'][0]['name']);
        self::assertNull(
            $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => null])['fit'],
        );
        $this->ask('POST', 'evaluate', [
            'formula' => $formula,
            'head_id' => null,
            'hair' => ['strand' => 'steel'],
        ])->assertStatus(422);

        $kept = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => $formula,
            'head_id' => null,
            'hair' => ['strand' => 'fine', 'porosity' => 'low'],
        ]);
        self::assertSame(
            ['strand' => 'fine', 'porosity' => 'low'],
            $this->got('FormulaPage', 'GET', 'formulas/'.$kept['id'])['hair'],
        );
    }

    public function test_a_dislike_holds_in_its_season(): void
    {
        $head = $this->got('Head', 'POST', 'heads', [
            'name' => 'Zuri',
            'dislikes' => [['what' => 'coconut', 'season' => 'cold']],
        ]);
        $codes = fn (): array => array_column(
            $this->got('Evaluation', 'POST', 'evaluate', [
                'formula' => $this->read("Oil\n100 g coconut oil"),
                'head_id' => $head['id'],
            ])['assessment']['findings'],
            'code',
        );
        $this->travelTo('2027-01-15');
        self::assertContains('head.dislike', $codes());
        $this->travelTo('2027-07-15');
        self::assertNotContains('head.dislike', $codes());
        $this->got('Session', 'PUT', 'studio', [
            'name' => 'Loft',
            'maker' => '',
            'cup' => 'us',
            'scale_grams' => 1,
            'southern' => true,
            'bowl_ml' => 0,
            'time_zone' => 'UTC',
        ]);
        self::assertContains('head.dislike', $codes(), 'July is winter in the south');
    }

    public function test_a_heads_data_can_be_taken_away_and_deleted_whole(): void
    {
        $head = $this->headOf();
        $batch = $this->batch();
        $this->got('Routine', 'POST', 'routines', [
            'head_id' => $head['id'],
            'batch_id' => $batch['id'],
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->toDateString(),
            'way' => '',
        ]);
        $this->got('Head', 'POST', 'heads/'.$head['id'].'/marks', [
            'zone' => 'nape',
            'state' => 'dry',
            'on' => today()->toDateString(),
            'note' => 'after braids',
        ]);
        $export = $this->got('HeadExport', 'GET', 'heads/'.$head['id'].'/export');
        self::assertSame('after braids', $export['head']['marks'][0]['note']);
        self::assertNotEmpty($export['routines'][0]['days']);

        $this->ask('DELETE', 'heads/'.$head['id'])->assertNoContent();
        foreach (['head_marks', 'routines', 'routine_days'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
    }
}
