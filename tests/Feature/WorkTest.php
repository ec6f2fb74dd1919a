<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Demo\Recipes;
use App\Make\Batch;
use App\Pantry\Lot;
use App\Studio\Studio;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Process\Process;

final class WorkTest extends StudioTestCase
{
    public function test_a_batch_keeps_what_was_truly_weighed(): void
    {
        $batch = $this->batch(20.0);
        self::assertSame('done', $batch['state']);
        self::assertSame(100.0, (float) $batch['weighings'][0]['actual_grams']);
        self::assertFalse($batch['weighings'][0]['within']);
        // 100 of 121 g instead of 80 of 101.
        self::assertEqualsWithDelta((100 / 121) * 100, $batch['actual']['lines'][0]['share']['best'], 0.01);

        $formula = $this->got('FormulaPage', 'GET', 'formulas/'.$batch['formula_id']);
        $changed = ['title' => 'Something else', 'lines' => []] + $formula['formula'];
        $this->got('FormulaPage', 'PUT', 'formulas/'.$formula['id'], [
            'revision' => $formula['revision'],
            'formula' => $changed,
            'head_id' => null,
        ]);
        self::assertSame(
            $batch,
            $this->got('Batch', 'GET', 'batches/'.$batch['id']),
            'later edits never change a record',
        );
        $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => 'l1',
            'gathered' => true,
            'grams' => 1,
        ])->assertStatus(409);
    }

    public function test_lists_are_looked_through_by_name_and_by_state(): void
    {
        $done = $this->batch();
        $open = $this->got('Batch', 'POST', 'batches', [
            'formula_id' => $this->formula("Dark balm\n80 g olive oil\n20 g beeswax")['id'],
        ]);
        $this->headOf('Imani');
        $this->headOf('Zola 100% curls');
        $steep = $this->steep();
        $names = fn (string $schema, string $path, string $key): array => array_column(
            $this->got($schema, 'GET', $path)['items'],
            $key,
        );

        self::assertSame([$done['id']], $names('BatchList', 'batches?q=light+OIL', 'id'));
        self::assertSame([$open['id']], $names('BatchList', 'batches?q='.$open['lot_code'], 'id'));
        self::assertSame([$done['id']], $names('BatchList', 'batches?state=done', 'id'));
        self::assertSame([$open['id']], $names('BatchList', 'batches?state=open', 'id'));
        self::assertEqualsCanonicalizing(
            [$open['id'], $done['id']],
            $names('BatchList', 'batches?state=open,done', 'id'),
        );
        self::assertSame([], $names('BatchList', 'batches?q=nothing', 'id'));
        self::assertSame(['Zola 100% curls'], $names('HeadList', 'heads?q='.urlencode('100%'), 'name'));
        self::assertSame([], $names('HeadList', 'heads?q='.urlencode('I%i'), 'name'));
        self::assertSame([$steep['id']], $names('SteepList', 'steeps?state=running', 'id'));
        self::assertSame([], $names('SteepList', 'steeps?state=strained,spoiled', 'id'));
        $this->ask('GET', 'batches?state=lost')
            ->assertStatus(422)
            ->assertJsonPath('errors.state.0', 'Allowed: open, done.');
    }

    public function test_looking_through_a_long_list_goes_on_where_it_stopped(): void
    {
        $oldest = $this->headOf('Oldest of all')['id'];
        $copied = implode(', ', array_diff(Schema::getColumnListing('heads'), ['id', 'name', 'updated_at']));
        // Some thousand others, all touched in the same second, and one more after them.
        DB::statement(
            "INSERT INTO heads (name, updated_at, {$copied}) "
                ."SELECT CONCAT('Other ', seq), '2030-01-01 10:00:00', {$copied} "
                .'FROM heads JOIN seq_1_to_4100 WHERE heads.id = ?',
            [$oldest],
        );
        $this->headOf('Old friend');
        DB::table('heads')
            ->where('name', 'Old friend')
            ->update(['updated_at' => '2031-01-01 10:00:00']);

        $found = [];
        $next = '';
        for ($asked = 0; $next !== null && $asked < 10; $asked++) {
            $page = $this->got('HeadList', 'GET', 'heads?q=OLD&cursor='.$next);
            $found[] = array_column($page['items'], 'name');
            $next = $page['next'];
        }
        self::assertSame([['Old friend'], [], ['Oldest of all']], $found);

        // Where many are found, none is passed over and none comes twice.
        $names = [];
        for ($asked = 0, $next = ''; $next !== null && $asked < 100; $asked++) {
            $page = $this->got('HeadList', 'GET', 'heads?q=other+9&cursor='.$next);
            self::assertLessThanOrEqual(50, count($page['items']));
            array_push($names, ...array_column($page['items'], 'name'));
            $next = $page['next'];
        }
        $expected = array_values(
            array_filter(
                array_map(static fn (int $n): string => 'Other '.$n, range(4100, 1)),
                static fn (string $n): bool => str_contains($n, '9'),
            ),
        );
        self::assertSame($expected, $names);
        $this->ask('GET', 'heads?cursor='.base64_encode('{"name":"x"}'))
            ->assertStatus(422)
            ->assertJsonPath('errors.cursor.0', 'Allowed: what the page before gave as its next.');
    }

    public function test_a_record_made_before_more_was_judged_can_still_be_read(): void
    {
        $batch = $this->batch();
        $row = Batch::query()->findOrFail($batch['id']);
        $row->actual = array_diff_key(
            $row->actual ?? [],
            array_flip(['melts_at_c', 'moments', 'whipping', 'longer', 'density_60c', 'cost']),
        );
        $row->save();

        self::assertSame(
            $batch['actual']['lines'],
            $this->got('Batch', 'GET', 'batches/'.$batch['id'])['actual']['lines'],
        );
    }

    public function test_a_batch_is_not_closed_before_it_is_weighed(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $finish = ['revision' => $batch['revision'], 'jars' => 1, 'jar_ml' => 30, 'net_grams' => 20, 'note' => ''];
        self::assertStringContainsString(
            'has not been weighed yet',
            (string) $this->ask('POST', 'batches/'.$batch['id'].'/finish', $finish)
                ->assertStatus(422)
                ->json('errors.weighings.0'),
        );
        $this->ask('GET', '/papers/batches/'.$batch['id'].'/label.pdf')->assertStatus(409);
        foreach ($batch['weighings'] as $w) {
            $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
                'revision' => $batch['revision'],
                'line' => $w['line'],
                'gathered' => true,
                'grams' => $w['target_grams'],
            ]);
        }
        $this->ask('POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 9,
            'jar_ml' => 100,
            'net_grams' => 90,
            'note' => '',
        ])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['net_grams']]);
        $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => 1,
            'line' => 'l1',
            'gathered' => true,
            'grams' => 5,
        ])
            ->assertStatus(409)
            ->assertJsonPath('current.id', $batch['id']);
        $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => 'l1',
            'gathered' => true,
            'grams' => -5,
        ])->assertStatus(422);
    }

    public function test_lot_codes_count_within_the_day(): void
    {
        $this->batch();
        self::assertStringEndsWith('-2', $this->batch()['lot_code']);
    }

    public function test_the_label_is_printed_with_its_words(): void
    {
        $batch = $this->batch();
        $pdf = (string) $this->ask('GET', '/papers/batches/'.$batch['id'].'/label.pdf')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent();
        $reader = new Process(['pdftotext', '-layout', '-', '-'], null, null, $pdf);
        $text = (string) preg_replace('/\s+/', ' ', $reader->mustRun()->getOutput());

        foreach (
            [
                'Light oil',
                'Simmondsia Chinensis Seed Oil, Olea Europaea Fruit Oil, Tocopherol',
                $batch['lot_code'],
                '27 g',
                $batch['label']['best_before'],
                'Patch test first',
                'Made here',
            ] as $words
        ) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('http', $pdf === '' ? 'http' : $text);
    }

    public function test_a_jar_whose_life_nobody_can_tell_has_no_date_wherever_it_stands(): void
    {
        $powder = $this->formula("Powder mask\n90 g rosemary powder");
        self::assertNull($powder['assessment']['life_months']);
        self::assertNull($powder['keeps']);
        self::assertNull($this->got('FormulaList', 'GET', 'formulas')['items'][0]['life_months']);

        $batch = $this->batch(0.0, $powder['id']);
        self::assertSame(
            [null, null, null],
            [$batch['label']['best_before'], $batch['label']['opened'], $batch['label']['opened_months']],
        );
        self::assertNull($this->got('BatchList', 'GET', 'batches?state=done')['items'][0]['best_before']);
        self::assertNull(Lot::query()->where('batch_id', $batch['id'])->firstOrFail()->useBy());
        $pdf = (string) $this->ask('GET', '/papers/batches/'.$batch['id'].'/label.pdf')->assertOk()->getContent();
        $text = (new Process(['pdftotext', '-layout', '-', '-'], null, null, $pdf))->mustRun()->getOutput();
        self::assertMatchesRegularExpression('/Best before\s+not known/', $text);
        self::assertStringNotContainsString('Once opened', $text);
        $this->got('ShelfList', 'GET', 'pantry/shelf');
        $this->got('Today', 'GET', 'today');
        self::assertStringContainsString('not known', implode(' ', $batch['label']['cautions']));

        // A bottle in it has its day, and so has the jar.
        $soon = today()->addDays(50)->toDateString();
        $this->got('ShelfList', 'POST', 'pantry/lots', ['lots' => [
            ['ingredient' => 'rosemary', 'grams' => 500, 'printed_on' => $soon],
        ]]);
        $dated = $this->batch(0.0, $powder['id']);
        self::assertSame($soon, $dated['label']['best_before']);
        self::assertStringNotContainsString('not known', implode(' ', $dated['label']['cautions']));
    }

    public function test_a_steep_is_shaken_strained_and_becomes_an_ingredient(): void
    {
        $steep = $this->steep(start: today()->subDays(3)->toDateString());
        $today = today()->toDateString();
        self::assertContains('shake', array_column($this->got('Today', 'GET', 'today')['items'], 'kind'));
        $this->got('Steep', 'PUT', 'steeps/'.$steep['id'].'/shakes', ['date' => $today, 'done' => true]);
        $shaken = $this->got('Steep', 'PUT', 'steeps/'.$steep['id'].'/shakes', ['date' => $today, 'done' => true]);
        self::assertCount(1, array_filter($shaken['shakes'], static fn (array $s): bool => $s['done']));
        self::assertNotContains('shake', array_column($this->got('Today', 'GET', 'today')['items'], 'kind'));
        $this->ask('PUT', 'steeps/'.$steep['id'].'/shakes', [
            'date' => today()->addDay()->toDateString(),
            'done' => true,
        ])->assertStatus(422);

        $strained = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 295,
            'loss_grams' => 0,
        ]);
        self::assertTrue($strained['lot']['dry']);
        $this->ask('POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'] + 1,
            'yield_grams' => 295,
            'loss_grams' => 0,
        ])->assertStatus(409);
        $found = $this->got('IngredientList', 'GET', 'ingredients?q='.urlencode('rosemary leaf in olive oil'))[
            'items'
        ][0];
        self::assertSame($strained['lot']['ingredient'], $found['id']);
        $this->got('IngredientPage', 'GET', 'ingredients/'.$found['id']);
        self::assertNotContains(
            $found['id'],
            array_column($this->ask('GET', 'ingredients', [], $this->stranger)->json('items'), 'id'),
        );
    }

    public function test_a_formula_carries_the_water_of_its_steep(): void
    {
        $steep = $this->steep('rosemary', 'fresh', method: 'water-bath');
        $wet = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 330,
            'loss_grams' => 20.5,
        ]);
        self::assertFalse($wet['lot']['dry']);
        // At worst 40 g x 0.72 x 0.8 = 23.04 g brought in, 20.5 driven off: 2.54 of 330 g.
        self::assertEqualsWithDelta(0.77, $wet['lot']['water_percent'], 0.001);
        $formula = [
            'title' => 'Garden oil',
            'lines' => [['ingredient' => $wet['lot']['ingredient'], 'amount' => '100 g']],
        ];
        $judged = $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => null]);
        self::assertSame('C', $judged['assessment']['water_class']);
        self::assertContains('water.trace', array_column($judged['assessment']['findings'], 'code'));
    }

    public function test_a_steep_that_cannot_be_is_refused_by_field(): void
    {
        $good = self::steepDraft();
        $this->got('SteepPlanned', 'POST', 'steeps/plan', $good);
        $herb = $good['herbs'][0];
        $oil = $good['oils'][0];
        $wrong = [
            'herbs.0.amount' => ['herbs' => [['amount' => 'some'] + $herb]],
            'herbs.0.ingredient' => ['herbs' => [['ingredient' => 'unicorn'] + $herb]],
            'herbs' => ['herbs' => []],
            'oils' => ['oils' => []],
            'oils.0.amount' => ['oils' => [['amount' => '0 g'] + $oil]],
            'oils.0.ingredient' => ['oils' => [['ingredient' => 'water'] + $oil]],
            'herbs.0.form' => ['herbs' => [['form' => 'liquid'] + $herb]],
            'method' => ['method' => 'magic'],
            'started_on' => ['started_on' => 'soon'],
            'herbs.0.preparation' => ['herbs' => [['preparation' => 'bagged'] + $herb]],
        ];
        foreach ($wrong as $field => $over) {
            $answer = $this->ask('POST', 'steeps', [...$good, ...$over])->assertStatus(422);
            self::assertArrayHasKey($field, $answer->json('errors'), $field.': '.$answer->getContent());
        }
        self::assertStringContainsString(
            'cool, by drops',
            (string) $this->ask('POST', 'steeps', [...$good, 'herbs' => [['ingredient' => 'rosemary-eo'] + $herb]])
                ->assertStatus(422)
                ->json('message'),
        );
    }

    public function test_applications_wait_for_the_patch_test(): void
    {
        $today = today();
        $start = $today->copy()->subDays(4)->toDateString();
        $this->travelTo($start);
        $batch = $this->batch()['id'];
        $this->travelTo($today);
        $routine = $this->got('Routine', 'POST', 'routines', [
            'head_id' => $this->headOf()['id'],
            'batch_id' => $batch,
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => $start,
            'way' => '',
        ]);
        [$test, $reading, $first] = $routine['days'];
        $tick = fn (array $day, string $state) => $this->ask('PUT', 'routine-days/'.$day['id'], ['state' => $state]);

        $tick($first, 'done')
            ->assertStatus(422)
            ->assertJsonPath('errors.state.0', 'Wait for the patch test: read it first, 48 hours after it was put on.');
        $tick($reading, 'done')->assertStatus(422);
        self::assertNotContains('application', array_column($this->got('Today', 'GET', 'today')['items'], 'kind'));
        $tick($test, 'done')->assertOk();
        $tick($reading, 'done')->assertOk()->assertJsonPath('state', 'running');
        self::assertContains('application', array_column($this->got('Today', 'GET', 'today')['items'], 'kind'));
        $tick($first, 'done')->assertOk();
        $tick($routine['days'][5], 'done')
            ->assertStatus(422)
            ->assertJsonPath('errors.state.0', 'This day has not come yet.');
        $tick($first, 'reacted')->assertStatus(422);
        $tick($reading, 'reacted')->assertOk()->assertJsonPath('state', 'stopped');
        $tick($first, 'done')->assertStatus(422);
    }

    public function test_an_unfinished_batch_cannot_be_used(): void
    {
        $open = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $this->ask('POST', 'routines', [
            'head_id' => $this->headOf()['id'],
            'batch_id' => $open['id'],
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->toDateString(),
            'way' => '',
        ])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['batch_id']]);
    }

    public function test_a_head_is_changed_with_its_revision(): void
    {
        $head = $this->headOf();
        $changed = $this->got('Head', 'PUT', 'heads/'.$head['id'], ['allergies' => []] + $head);
        self::assertSame([], $changed['allergies']);
        $this->ask('PUT', 'heads/'.$head['id'], $head)
            ->assertStatus(409)
            ->assertJsonPath('current.revision', 2);
        $this->ask('POST', 'heads', ['name' => '', 'strand' => 'wiry'] + $head)
            ->assertStatus(422)
            ->assertJsonValidationErrors(['name', 'strand']);
    }

    public function test_the_demo_studio_is_loaded_once_and_reset_alone(): void
    {
        $mine = $this->formula();
        $this->artisan('crown:demo')->assertSuccessful();
        $demo = Studio::query()->where('demo', true)->firstOrFail();
        $count = static fn (string $table): int => \Illuminate\Support\Facades\DB::table($table)
            ->where('studio_id', Studio::query()->where('demo', true)->value('id'))
            ->count();
        self::assertSame(
            count(Recipes::all()),
            \Illuminate\Support\Facades\DB::table('formulas')
                ->where('studio_id', $demo->id)
                ->whereNull('base_id')
                ->count(),
        );
        self::assertSame(count(Recipes::all()) + 2, $count('formulas'), 'and two variants');
        self::assertGreaterThanOrEqual(6, $count('batches'));
        $this->artisan('crown:demo')->assertSuccessful();
        self::assertSame($demo->id, Studio::query()->where('demo', true)->value('id'));
        $this->artisan('crown:demo', ['--fresh' => true])->assertSuccessful();
        self::assertNotSame($demo->id, Studio::query()->where('demo', true)->value('id'));
        self::assertSame(
            $mine['formula'],
            $this->got('FormulaPage', 'GET', 'formulas/'.$mine['id'])['formula'],
            'nobody else is touched',
        );
        self::assertFalse(Carbon::hasTestNow());
        self::assertSame(0, Batch::query()->count());
    }

    public function test_what_was_lost_on_the_way_into_jars_is_reckoned_in_from_then_on(): void
    {
        $formula = $this->formula();
        self::assertEquals(['overfill' => 0.03, 'loss' => 0.04, 'batches' => 0], $formula['sizing']);
        $batch = $this->batch();
        $weighed = array_sum(array_column($batch['weighings'], 'actual_grams'));
        $lost = 1 - ($batch['jars'] * $batch['net_grams']) / $weighed;
        $sizing = $this->got('FormulaPage', 'GET', 'formulas/'.$formula['id'])['sizing'];

        self::assertSame(1, $sizing['batches']);
        self::assertEqualsWithDelta((0.08 + $lost) / 3, $sizing['loss'], 1e-4);
        self::assertSame(
            0,
            $this->got(
                'FormulaPage',
                'POST',
                'formulas',
                ['formula' => ['title' => 'Theirs'], 'head_id' => null],
                $this->stranger,
            )['sizing']['batches'],
            'another studio learns nothing from it',
        );
    }
}
