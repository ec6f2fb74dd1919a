<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A pasted recipe, read with all that the studio knows, put right, and taken further in one act. */
final class ReadTest extends StudioTestCase
{
    private const STEEP = <<<'TXT'
        Rosemary growth oil
        40 g dried rosemary
        300 g olive oil
        1 % rosemary essential oil
        0.5 % vitamin E
        Cover the herb with the oil. Leave to steep 4 weeks in a dark cupboard, then strain. Stir in the rest.
        TXT;

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function answer(string $text, array $more = []): array
    {
        return $this->got('ReadAnswer', 'POST', 'read', ['text' => $text, ...$more]);
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return list<string> ingredient and amount of each line
     */
    private static function lines(array $answer): array
    {
        return array_map(
            static fn (array $l): string => $l['ingredient'].' '.$l['amount'],
            $answer['formula']['lines'],
        );
    }

    public function test_what_the_maker_says_of_a_place_counts_and_the_rest_is_read_anew(): void
    {
        $text = "Oil\n50 g kastr oil\n20 g olive oil\n5 g unicorn dust\nIn week 12 it was 3 g vitamin E for me.";
        self::assertSame(['l1', 'l3'], $this->answer($text)['doubtful']);
        $said = ['corrections' => [
            ['row' => '50 g kastr oil', 'name' => 'kastr oil', 'amount' => '50 g', 'ingredient' => 'castor-oil'],
            ['row' => '20 g olive oil', 'name' => 'olive oil', 'amount' => '20 g', 'says' => '25 g'],
            ['row' => '5 g unicorn dust', 'name' => 'unicorn dust', 'amount' => '5 g', 'out' => true],
            ['row' => 'In week 12 it was 3 g vitamin E for me.', 'name' => '', 'amount' => '12', 'out' => true],
        ]];
        $put = $this->answer($text, $said);

        self::assertSame(['castor-oil 50 g', 'olive-oil 25 g', 'vitamin-e 3 g'], self::lines($put));
        self::assertSame(['maker', 'maker', 'text'], array_column($put['reading']['lines'], 'settled_by'));
        self::assertSame([], $put['doubtful']);
        self::assertSame([], $put['reading']['unplaced']);
        self::assertSame(
            ['castor-oil 50 g', 'argan-oil 9 g', 'olive-oil 25 g'],
            self::lines($this->answer("Mine\n50 g kastr oil\n9 g argan oil\n  20 g  olive oil", $said)),
            'kept when the text is changed elsewhere',
        );
        $added = ['corrections' => [
            ['row' => $row = 'Then 12 of the good stuff', 'name' => '', 'amount' => '', 'ingredient' => 'argan-oil',
                'says' => '12 g'],
        ]];
        self::assertContains('argan-oil 12 g', self::lines($this->answer("Oil\n50 g olive oil\n".$row, $added)));
        $this->ask('POST', 'read', ['text' => $text, 'corrections' => [['row' => 'x']], 'ounces' => 'stone'])
            ->assertStatus(422)
            ->assertJsonValidationErrors(['corrections.0.name', 'ounces']);
    }

    public function test_a_name_settled_once_means_the_same_in_the_next_recipe_until_it_is_forgotten(): void
    {
        $text = "Oil\n50 g olive oil\n10 g of the Green Stuff";
        self::assertSame('', $this->answer($text)['formula']['lines'][1]['ingredient']);
        $said = ['written' => 'of  the green stuff', 'ingredient' => 'avocado-oil', 'form' => null];
        $this->got('SettledName', 'PUT', 'read/names', [...$said, 'written' => 'the GREEN  stuff']);
        $line = $this->answer($text)['reading']['lines'][1];

        self::assertSame(['avocado-oil', 'studio', 'yes'], [
            $line['ingredient'],
            $line['settled_by'],
            $line['understood'],
        ]);
        self::assertSame(
            '',
            $this->got('ReadAnswer', 'POST', 'read', ['text' => $text], $this->stranger)['formula']['lines'][1][
                'ingredient'
            ],
            'of one studio alone',
        );
        $this->ask('DELETE', 'read/names', ['written' => 'The green stuff'])->assertNoContent();
        self::assertSame('', $this->answer($text)['formula']['lines'][1]['ingredient']);
        $this->ask('PUT', 'read/names', [...$said, 'ingredient' => 'no-such'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('ingredient');
    }

    public function test_ounces_are_asked_once_and_doubling_is_offered(): void
    {
        $text = "Butter\n4 oz shea butter\n4 oz olive oil\nDouble this for two heads.";
        $byWeight = $this->answer($text);
        self::assertFalse($byWeight['ounces']['by_volume']);
        self::assertStringContainsString('By volume', $byWeight['ounces']['changes']);
        self::assertSame([2], $byWeight['reading']['times']);
        $byVolume = $this->answer($text, ['ounces' => 'volume']);
        self::assertTrue($byVolume['ounces']['by_volume']);
        self::assertSame(['shea-butter 4 oz', 'olive-oil 4 fl oz'], self::lines($byVolume));
        self::assertSame($byWeight['ounces']['changes'], $byVolume['ounces']['changes']);
        self::assertNull($this->answer("Oil\n4 fl oz castor oil\n20 g shea butter")['ounces']);

        $twice = $this->answer($text, ['times' => 2])['assessment']['total_grams']['best'];
        self::assertEqualsWithDelta(2 * $byWeight['assessment']['total_grams']['best'], $twice, 0.1);
        self::assertSame('infant', $this->answer($text, ['audience' => 'infant'])['formula']['audience']);
    }

    public function test_a_formula_follows_what_was_strained_and_a_line_that_names_the_oil_is_it(): void
    {
        $begun = $this->got('SteepBegun', 'POST', 'read/steep', ['text' => self::STEEP]);
        $formula = $this->got('FormulaPage', 'GET', "formulas/{$begun['formula_id']}");
        $steep = $this->got('Steep', 'GET', "steeps/{$begun['steep_id']}");
        $this->got('Steep', 'POST', "steeps/{$begun['steep_id']}/strain", [
            'revision' => $steep['revision'],
            'yield_grams' => 151.5,
            'loss_grams' => 0,
        ]);
        $after = $this->got('FormulaPage', 'GET', "formulas/{$begun['formula_id']}");
        self::assertNotSame('151.5 g', $formula['formula']['lines'][0]['amount']);
        self::assertSame('151.5 g', $after['formula']['lines'][0]['amount']);
        self::assertGreaterThan($formula['revision'], $after['revision']);

        $named = $this->got('SteepBegun', 'POST', 'read/steep', [
            'text' => "Rosemary butter\n200 g olive oil\n20 g dried rosemary\n100 g shea butter\n60 g infused oil\n"
                .'Cover the rosemary with the olive oil. Leave to steep 4 weeks in a dark cupboard, then strain. '
                .'Melt the shea and stir in the infused oil.',
        ]);
        $butter = $this->got('FormulaPage', 'GET', "formulas/{$named['formula_id']}")['formula']['lines'];
        self::assertSame(
            [["steep-{$named['steep_id']}", '60 g'], ['shea-butter', '100 g']],
            array_map(static fn (array $l): array => [$l['ingredient'], $l['amount']], $butter),
        );
        $jar = $this->got('Steep', 'GET', "steeps/{$named['steep_id']}");
        $this->got('Steep', 'POST', "steeps/{$named['steep_id']}/strain", [
            'revision' => $jar['revision'],
            'yield_grams' => 158,
            'loss_grams' => 0,
        ]);
        $kept = $this->got('FormulaPage', 'GET', "formulas/{$named['formula_id']}")['formula']['lines'];
        self::assertSame('60 g', $kept[0]['amount'], 'what she wrote herself stays');
    }

    public function test_a_steep_in_a_recipe_is_begun_and_its_oil_is_on_the_bench_before_straining_and_after(): void
    {
        self::assertSame(
            [
                'herbs' => [1],
                'oils' => [2],
                'method' => 'cold-dark',
                'days' => 28,
                'celsius' => null,
                'minutes' => null,
            ],
            $this->answer(self::STEEP)['reading']['steep'],
        );
        $begun = $this->got('SteepBegun', 'POST', 'read/steep', ['text' => self::STEEP]);
        $oil = 'steep-'.$begun['steep_id'];
        $page = $this->got('FormulaPage', 'GET', 'formulas/'.$begun['formula_id']);

        self::assertSame([$oil, 'rosemary-eo', 'vitamin-e'], array_column($page['formula']['lines'], 'ingredient'));
        self::assertSame(['Stir in the rest.'], array_column($page['formula']['steps'], 'text'));
        self::assertEqualsWithDelta(98.5, $page['assessment']['lines'][0]['shown_percent'], 0.1);
        self::assertContains('lot.awaited', array_column($page['assessment']['findings'], 'code'));
        $this->ask('POST', 'batches', ['formula_id' => $page['id'], 'although' => 'I cannot wait.'])->assertStatus(422);
        $herb = ['herbs' => [['ingredient' => 'nettle', 'form' => 'dried', 'preparation' => 'none', 'amount' => '10 g',
            'draw' => 1, 'cost' => null]]];
        $this->ask('POST', 'steeps', self::steepDraft(over: [
            ...$herb,
            'oils' => [['ingredient' => $oil, 'amount' => '100 g', 'cost' => null]],
        ]))->assertStatus(422)->assertJsonValidationErrors('oils.0.ingredient');

        $this->travel(29)->days();
        $steep = $this->got('Steep', 'GET', 'steeps/'.$begun['steep_id']);
        self::assertSame([$page['id']], array_column($steep['used_in'], 'id'));
        $strained = $this->got('Steep', 'POST', 'steeps/'.$begun['steep_id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 250,
            'loss_grams' => 0,
        ]);
        $now = $this->got('FormulaPage', 'GET', 'formulas/'.$begun['formula_id']);
        self::assertNotContains('lot.awaited', array_column($now['assessment']['findings'], 'code'));
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $page['id']]);
        self::assertSame($strained['lot']['ingredient'], $batch['weighings'][0]['ingredient']);
        $this->got('LotWithdrawn', 'PUT', 'lots/'.$strained['lot']['id'].'/withdrawn', ['reason' => 'mould']);
        self::assertContains(
            'lot.withdrawn',
            array_column(
                $this->got('FormulaPage', 'GET', 'formulas/'.$page['id'])['assessment']['findings'],
                'code',
            ),
        );
        $this->ask('POST', 'read/steep', ['text' => "Oil\n50 g olive oil"])->assertStatus(422);
        $this->ask('POST', 'read/steep', ['text' => str_replace('40 g', 'a handful of', self::STEEP)])
            ->assertStatus(422)
            ->assertJsonValidationErrors('steep.herbs.0.amount');
    }

    public function test_own_oils_are_known_by_the_way_people_name_them(): void
    {
        $this->travelTo('2026-05-10');
        $first = $this->steep('rosemary', 'dried', '2026-04-02');
        $this->travelTo('2026-05-12');
        $text = "Mine\n50 g of my rosemary oil\n10 g castor oil";
        $line = $this->answer($text)['reading']['lines'][0];
        self::assertSame(['steep-'.$first['id'], 'yes'], [$line['ingredient'], $line['understood']]);
        $this->steep('rosemary', 'dried', '2026-05-01');
        $several = $this->answer($text)['reading']['lines'][0];
        self::assertSame('doubtful', $several['understood']);
        self::assertStringContainsString('There are several', $several['doubts']['ingredient']);
        $told = $this->answer("Mine\n50 g of the rosemary oil from last month")['reading']['lines'][0];
        self::assertSame('steep-'.$first['id'], $told['ingredient']);
        $none = $this->answer("Mine\n5 g of my clove oil\n50 g olive oil")['reading']['lines'][0];
        self::assertSame('doubtful', $none['understood'], 'none was steeped here, and the other is strong');
    }

    public function test_one_fresh_dose_is_made_at_once_but_not_what_the_bench_forbids(): void
    {
        $fresh = "Aloe mask\n40 g fresh aloe vera gel\n30 g olive oil";
        self::assertSame(25, (int) round($this->answer("Hot oil\n30 g olive oil")['dose_grams']));
        $batch = $this->got('Batch', 'POST', 'read/dose', ['text' => $fresh]);
        self::assertStringContainsString('used at once', (string) json_encode($batch));
        $kept = fn (): array => array_column($this->got('FormulaList', 'GET', 'formulas')['items'], 'id');
        $before = $kept();
        $forbidden = "Mask for my 3 year old\n30 g olive oil\n5 g peppermint essential oil";
        $this->ask('POST', 'read/dose', ['text' => $forbidden])->assertStatus(422);
        self::assertSame($before, $kept(), 'nothing is left behind');
    }
}
