<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Carbon;

/** Guided at the counter: her own method, clocks that go on, the probe, and what too much of something does. */
final class GuidedTest extends StudioTestCase
{
    private const RECIPE = "Shea whip\n120 g shea butter\n40 g coconut oil\n20 g argan oil\n"
        .'Melt the shea and coconut oil. Freeze for 30 minutes. Whip 10 minutes. Freeze for 15 minutes. '
        .'Add the argan and whip 5 minutes. Spoon into jars.';

    /** @return array<string, mixed> */
    private function begun(): array
    {
        $page = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => $this->read(self::RECIPE),
            'head_id' => null,
            'hair' => null,
        ]);

        return $this->got('Batch', 'POST', 'batches', ['formula_id' => $page['id'], 'although' => 'For myself.']);
    }

    /**
     * @param  array<string, mixed>  $batch
     * @return array<string, mixed>
     */
    private static function task(array $batch, string $id): array
    {
        return array_column($batch['tasks'], null, 'id')[$id];
    }

    public function test_each_round_of_her_method_is_ticked_by_itself_and_one_is_passed_over_with_a_reason(): void
    {
        $batch = $this->begun();
        self::assertSame(
            ['clean', 'melt', 'chill', 'whip', 'chill-2', 'whip-2', 'fill', 'wipe', 'label'],
            array_column($batch['tasks'], 'id'),
        );
        $path = 'batches/'.$batch['id'].'/tasks';
        $batch = $this->got('Batch', 'PUT', $path, [
            'revision' => $batch['revision'],
            'task' => 'chill-2',
            'done' => true,
            'skipped' => 'It was firm already.',
        ]);

        self::assertTrue(self::task($batch, 'chill-2')['done']);
        self::assertSame('It was firm already.', self::task($batch, 'chill-2')['skipped']);
        self::assertFalse(self::task($batch, 'chill')['done']);
        $this->ask('PUT', $path, ['revision' => $batch['revision'], 'task' => 'chill-3', 'done' => true])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['task']]);
    }

    public function test_clocks_go_on_by_themselves_until_they_are_stopped(): void
    {
        $batch = $this->begun();
        $path = 'batches/'.$batch['id'].'/timers';
        $this->got('Batch', 'POST', $path, ['task' => 'chill', 'minutes' => 30, 'label' => '']);
        $batch = $this->got('Batch', 'POST', $path, ['task' => 'whip', 'minutes' => 0.5, 'label' => 'The mixer']);

        self::assertSame(['The mixer', 'Freeze for 30 minutes.'], array_column($batch['timers'], 'label'));
        $of = static fn (array $t): float => Carbon::parse($t['started_at'])
            ->diffInSeconds(Carbon::parse($t['ends_at']));
        self::assertSame([30.0, 1800.0], array_map($of, $batch['timers']));
        // An hour later it still rings: nobody has heard it.
        Carbon::setTestNow(Carbon::now()->addHour());
        $later = $this->got('Batch', 'GET', 'batches/'.$batch['id']);
        self::assertCount(2, $later['timers']);
        self::assertGreaterThan($later['timers'][1]['ends_at'], $later['now']);
        $stopped = $this->got('Batch', 'DELETE', $path.'/'.$batch['timers'][0]['id']);
        self::assertSame(['Freeze for 30 minutes.'], array_column($stopped['timers'], 'label'));
        Carbon::setTestNow();

        $this->ask('POST', $path, ['task' => 'nap', 'minutes' => 5, 'label' => ''])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['task']]);
        $this->ask('POST', $path, ['task' => 'whip', 'minutes' => 0, 'label' => ''])
            ->assertStatus(422)
            ->assertJsonPath('errors.minutes.0', 'Minutes, from 0.1 to a week.');
    }

    public function test_the_probe_tells_when_it_comes_to_its_gate(): void
    {
        $batch = $this->begun();
        $path = 'batches/'.$batch['id'].'/readings';
        $start = Carbon::parse('2026-11-27 10:00:00');
        $say = function (float $minutes, float $celsius, string $where = 'freezer') use ($path, $start): array {
            Carbon::setTestNow($start->copy()->addMilliseconds((int) round($minutes * 60_000)));

            return $this->got('Batch', 'POST', $path, ['task' => 'chill', 'celsius' => $celsius, 'where' => $where]);
        };
        self::assertSame('freezer', self::task($batch, 'chill')['where'], 'as she wrote it');
        self::assertNull(self::task($batch, 'chill')['cooling']);
        $one = self::task($say(0.0, 60.0), 'chill')['cooling'];
        self::assertFalse($one['fitted']);
        $two = $say(6.5004, 52.0);
        $cooling = self::task($two, 'chill')['cooling'];
        self::assertTrue($cooling['fitted']);
        self::assertSame([0, 6.5], array_column($cooling['readings'], 'minutes'));
        self::assertStringEndsWith('.024', (string) \App\Make\BatchReading::query()
            ->withoutGlobalScopes()
            ->where('batch_id', $batch['id'])
            ->orderByDesc('id')
            ->toBase()
            ->value('read_at'), 'to the thousandth');
        // Without the heat of setting: 6.5 / ln(78 / 70).
        self::assertEqualsWithDelta(60.07, $cooling['tau_minutes']['best'], 1.0);
        self::assertGreaterThan(0, $cooling['to_gate_minutes']['best']);
        self::assertEquals(-18, $cooling['surroundings_c']);
        $odd = self::task($say(8.0, 55.0), 'chill')['cooling'];
        self::assertTrue($odd['fitted'], 'one that is off is smoothed');
        $moved = self::task($say(9.0, 50.0, 'air'), 'chill')['cooling'];
        self::assertFalse($moved['fitted'], 'somewhere else it cools otherwise');
        self::assertCount(1, $moved['readings']);
        Carbon::setTestNow();

        $this->ask('POST', $path, ['task' => 'chill', 'celsius' => 900, 'where' => 'air'])
            ->assertStatus(422)
            ->assertJsonPath('errors.celsius.0', 'What the probe shows, from -30 to 200 °C.');
    }

    public function test_a_reading_that_was_typed_wrong_is_taken_back(): void
    {
        $batch = $this->begun();
        $path = 'batches/'.$batch['id'].'/readings';
        $this->got('Batch', 'POST', $path, ['task' => 'chill', 'celsius' => 6, 'where' => 'fridge']);
        $id = \App\Make\BatchReading::query()->withoutGlobalScopes()->where('batch_id', $batch['id'])->value('id');
        $after = $this->got('Batch', 'DELETE', $path.'/'.$id);

        self::assertNull(self::task($after, 'chill')['cooling']);
        $this->ask('DELETE', $path.'/'.$id)->assertStatus(404);
    }

    public function test_too_much_is_shown_at_once_and_all_the_rest_can_follow(): void
    {
        $batch = $this->begun();
        $lines = array_column($batch['weighings'], null, 'ingredient');
        $weigh = function (array $batch, string $ingredient, float $grams, array $more = []) use ($lines): array {
            return $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
                'revision' => $batch['revision'],
                'line' => $lines[$ingredient]['line'],
                'gathered' => true,
                'grams' => $grams,
                ...$more,
            ]);
        };
        $batch = $weigh($batch, 'shea-butter', 120.0);
        $asked = $this->got('OverPour', 'GET', sprintf(
            'batches/%d/pour?line=%s&grams=60',
            $batch['id'],
            $lines['coconut-oil']['line'],
        ));
        self::assertEqualsWithDelta(20.0, $asked['over_grams'], 1e-6);
        self::assertEqualsWithDelta(30.0, $asked['accepted']['share_percent'], 1e-6, '60 of 200');
        self::assertSame(0, count($asked['accepted']['stops']));

        $batch = $weigh($batch, 'coconut-oil', 60.0, ['rebalance' => true]);
        self::assertEqualsWithDelta(1.5, $batch['factor'], 1e-6);
        $now = array_column($batch['weighings'], null, 'ingredient');
        self::assertSame([180.0, 60.0, 30.0], [
            (float) $now['shea-butter']['target_grams'],
            (float) $now['shea-butter']['more_grams'],
            (float) $now['argan-oil']['target_grams'],
        ]);
        self::assertNull($now['coconut-oil']['more_grams']);
        $batch = $weigh($batch, 'shea-butter', 180.0);
        self::assertNull(array_column($batch['weighings'], null, 'ingredient')['shea-butter']['more_grams']);

        $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => $lines['argan-oil']['line'],
            'gathered' => true,
            'grams' => 10,
            'rebalance' => true,
        ])->assertStatus(422)->assertJsonStructure(['errors' => ['rebalance']]);
    }

    public function test_what_was_looked_at_and_left_over_stands_on_the_record(): void
    {
        $batch = $this->weighed($this->begun());
        $finish = [
            'revision' => $batch['revision'],
            'jars' => 2,
            'jar_ml' => 120,
            'net_grams' => 80,
            'note' => 'The mixer was slow.',
            'although' => 'For myself.',
            'inspected' => ['whole', 'clean', 'sealed'],
            'sample_kept' => true,
        ];
        $path = 'batches/'.$batch['id'].'/finish';
        $this->ask('POST', $path, [...$finish, 'remainder_grams' => 40])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['remainder_grams']]);
        $this->ask('POST', $path, [...$finish, 'made_on' => today()->addDay()->toDateString()])
            ->assertStatus(422)
            ->assertJsonPath('errors.made_on.0', 'A day up to today.');
        $day = today()->subDays(40)->toDateString();
        $done = $this->got('Batch', 'POST', $path, [...$finish, 'remainder_grams' => 15, 'made_on' => $day]);

        self::assertSame($day, $done['made_on']);
        self::assertSame(today()->toDateString(), $done['written_on']);
        self::assertSame(['whole', 'clean', 'sealed'], $done['inspected']);
        self::assertTrue($done['sample_kept']);
        self::assertEqualsWithDelta(5.0, $done['yield']['lost_grams'], 0.01, '180 less 160 less 15');
        $this->ask('POST', 'batches/'.$batch['id'].'/timers', ['task' => 'whip', 'minutes' => 5, 'label' => ''])
            ->assertStatus(409);
    }

    public function test_a_rehearsal_is_judged_like_a_batch_and_is_none(): void
    {
        $page = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => $this->read(self::RECIPE),
            'head_id' => null,
            'hair' => null,
        ]);
        $before = $this->got('BatchList', 'GET', 'batches');
        $first = $this->got('Batch', 'POST', 'rehearsals', ['formula_id' => $page['id']]);
        $batch = $this->got('Batch', 'POST', 'rehearsals', ['formula_id' => $page['id']]);
        self::assertNotSame($first['id'], $batch['id'], 'two may practise at once');
        self::assertTrue($batch['rehearsal']);
        $line = $batch['weighings'][0];
        $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => $line['line'],
            'gathered' => true,
            'grams' => $line['target_grams'] + 30,
        ]);
        $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/tasks', [
            'revision' => $batch['revision'],
            'task' => 'chill',
            'done' => true,
            'skipped' => 'No freezer here.',
        ]);
        self::assertSame(
            ['Shea butter: 150 g for 120 g.', 'Passed over: Freeze for 30 minutes (No freezer here).'],
            $batch['deviations'],
        );
        $this->ask('POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 1,
            'jar_ml' => 100,
            'net_grams' => 10,
            'note' => '',
        ])->assertStatus(422);

        self::assertSame($before, $this->got('BatchList', 'GET', 'batches'), 'nothing of it is in any list');
        $this->ask('DELETE', 'rehearsals/'.$batch['id'])->assertStatus(204);
        $this->ask('GET', 'batches/'.$batch['id'])->assertStatus(404);
        $real = $this->begun();
        $this->ask('DELETE', 'rehearsals/'.$real['id'])->assertStatus(404);
    }

    public function test_how_a_draft_will_be_made_is_read_from_what_she_writes(): void
    {
        $formula = $this->read(self::RECIPE);
        $made = $this->got('Procedure', 'POST', 'procedure', ['formula' => $formula]);
        self::assertContains('chill-2', array_column($made['tasks'], 'id'));
        $other = $this->got('Procedure', 'POST', 'procedure', [
            'formula' => $formula,
            'method' => "1. Melt the shea at 30 C.\n2) Whip for 12 minutes.",
        ]);

        self::assertSame(['Melt the shea at 30 C.', 'Whip for 12 minutes.'], array_column($other['steps'], 'text'));
        $melt = array_column($other['tasks'], null, 'id')['melt'];
        self::assertStringContainsString('does not melt there', $melt['doubt']);
        $plain = $this->got('Procedure', 'POST', 'procedure', ['formula' => $formula, 'method' => '']);
        self::assertSame([], $plain['steps']);
        self::assertSame([''], array_values(array_unique(array_column($plain['tasks'], 'hers'))));
    }

    /** @return array<string, mixed> a batch of two jars of 80 g that was made so many days ago */
    private function finished(int $daysAgo = 0): array
    {
        $batch = $this->weighed($this->begun());

        return $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 2,
            'jar_ml' => 120,
            'net_grams' => 80,
            'note' => '',
            'although' => 'For myself.',
            'made_on' => today()->subDays($daysAgo)->toDateString(),
        ]);
    }

    public function test_a_jar_is_opened_for_use_keeps_as_its_label_says_and_is_empty_at_last(): void
    {
        $batch = $this->finished();
        $path = 'pantry/lots/'.$batch['shelf_lot'].'/movements';
        $page = $this->got('LotPage', 'POST', $path, ['kind' => 'opened', 'jars' => 1]);
        self::assertEqualsWithDelta(80.0, $page['left_grams'], 1e-6);
        $jar = $page['movements'][0];
        self::assertSame('opened for use', $jar['words']);
        self::assertNotNull($jar['use_by']);
        self::assertLessThanOrEqual($batch['label']['best_before'], $jar['use_by']);
        $page = $this->got('LotPage', 'PUT', $path.'/'.$jar['id'], ['ended_on' => today()->toDateString()]);
        self::assertSame(today()->toDateString(), $page['movements'][0]['ended_on']);
        $page = $this->got('LotPage', 'PUT', $path.'/'.$jar['id'], ['ended_on' => null]);
        self::assertNull($page['movements'][0]['ended_on']);
        $made = $page['movements'][1];
        $this->ask('PUT', $path.'/'.$made['id'], ['ended_on' => null])->assertStatus(404);
    }

    public function test_mould_in_one_jar_is_the_end_of_all_of_them_until_it_is_taken_back(): void
    {
        $batch = $this->finished(10);
        self::assertSame([false, false], array_column(array_slice($batch['checks'], 0, 2), 'done'));
        $due = array_column($this->got('Today', 'GET', 'today')['items'], 'words');
        self::assertContains('Look at Shea whip (lot '.$batch['lot_code'].'): it has stood for 1 week.', $due);
        $batch = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', [
            'on' => today()->toDateString(),
            'texture' => '',
            'state' => '',
            'signs' => ['colour'],
            'note' => '',
        ]);
        self::assertSame([], $batch['withdrawn'], 'a changed colour alone is no reason');
        self::assertTrue($batch['checks'][0]['done']);
        $batch = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', [
            'on' => today()->toDateString(),
            'texture' => '',
            'state' => '',
            'signs' => ['mould'],
            'note' => '',
        ]);
        self::assertStringStartsWith('Something grows in it', $batch['withdrawn'][0]);
        self::assertSame('off', $batch['findings'][1]['state']);
        self::assertNotSame('', $this->got('LotPage', 'GET', 'pantry/lots/'.$batch['shelf_lot'])['withdrawn']);
        $back = $this->got('Batch', 'DELETE', 'batch-findings/'.$batch['findings'][1]['id']);
        self::assertSame([], $back['withdrawn']);
    }

    public function test_what_was_made_before_came_of_no_newer_bottle(): void
    {
        $this->got('ShelfList', 'POST', 'pantry/lots', ['lots' => [
            ['ingredient' => 'shea-butter', 'grams' => 500, 'bought_on' => today()->subDays(3)->toDateString()],
        ]]);
        $left = fn (): float => array_sum(array_map(
            static fn (array $l): float => $l['ingredient'] === 'shea-butter' ? (float) $l['left_grams'] : 0.0,
            $this->got('ShelfList', 'GET', 'pantry/shelf')['items'],
        ));
        $before = $left();
        $this->finished(30);
        self::assertEqualsWithDelta($before, $left(), 1e-6);
        $this->finished();
        self::assertEqualsWithDelta($before - 120.0, $left(), 1e-6);
    }

    public function test_a_marked_bowl_tells_how_much_air_went_in(): void
    {
        $batch = $this->weighed($this->begun());
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 2,
            'jar_ml' => 100,
            'net_grams' => 80,
            'bowl_ml' => 300,
            'note' => '',
            'although' => 'For myself.',
        ]);
        $density = $done['actual']['density_20c'];

        self::assertEqualsWithDelta(round(100 * (300 * $density / 180 - 1)), $done['air_percent'], 0.01);
    }

    public function test_a_warm_room_is_reckoned_with(): void
    {
        $batch = $this->begun();
        $say = fn (float $around): array => self::task($this->got(
            'Batch',
            'POST',
            'batches/'.$batch['id'].'/readings',
            ['task' => 'chill', 'celsius' => 60, 'where' => 'air', 'around' => $around],
        ), 'chill')['cooling'];
        self::assertEquals(27.5, $say(27.5)['surroundings_c']);
        $this->ask('POST', 'batches/'.$batch['id'].'/readings', [
            'task' => 'chill', 'celsius' => 60, 'where' => 'air', 'around' => 99,
        ])->assertStatus(422)->assertJsonPath('errors.around.0', 'How warm it is where it stands, from -40 to 60 °C.');
    }

    public function test_batches_of_one_formula_stand_beside_each_other(): void
    {
        $first = $this->finished(20);
        $begun = $this->got('Batch', 'POST', 'batches', [
            'formula_id' => $first['formula_id'],
            'although' => 'For myself.',
        ]);
        $batch = $this->weighed($begun);
        $second = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 2,
            'jar_ml' => 120,
            'net_grams' => 85,
            'note' => '',
            'although' => 'For myself.',
        ]);
        self::assertSame([$first['id']], array_column($second['beside'], 'id'));
        self::assertEqualsWithDelta(20.0, $second['beside'][0]['yield']['lost_grams'], 0.01);
    }

    public function test_the_make_sheet_is_one_side_of_a4(): void
    {
        $long = "Everything butter\n".implode("\n", array_map(
            static fn (string $oil): string => '12 g '.$oil,
            [
                'shea butter', 'mango butter', 'cocoa butter', 'olive oil', 'castor oil', 'argan oil', 'jojoba oil',
                'coconut oil', 'sunflower oil', 'grapeseed oil', 'avocado oil', 'sesame oil',
            ],
        ))."\n".'Melt the butters. Freeze 30 minutes. Whip 5 minutes. Freeze 10 minutes. Whip 5 minutes. Freeze 5 '
            .'minutes. Whip 5 minutes. Spoon into jars. Label.';
        foreach ([self::RECIPE, $long] as $recipe) {
            $page = $this->got('FormulaPage', 'POST', 'formulas', [
                'formula' => $this->read($recipe),
                'head_id' => null,
                'hair' => null,
            ]);
            $batch = $this->got('Batch', 'POST', 'batches', [
                'formula_id' => $page['id'],
                'although' => 'For myself.',
            ]);
            $pdf = (string) $this->ask('GET', '/papers/batches/'.$batch['id'].'/make.pdf')->assertOk()->getContent();

            self::assertStringStartsWith('%PDF-', $pdf);
            self::assertSame(1, preg_match_all('~/Type\s*/Page\b~', $pdf), $recipe);
        }
    }
}
