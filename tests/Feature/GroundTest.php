<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Make\WeighIn;
use App\Pantry\Lot;
use App\Pantry\StockMovement;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What stands in rows of its own: lots and what came to them, who names what, who weighed what. */
final class GroundTest extends StudioTestCase
{
    public function test_what_stands_in_the_cupboard_is_a_lot_and_every_count_a_movement(): void
    {
        $count = fn (?float $grams) => $this->ask('PUT', 'ingredients/olive-oil/cupboard', [
            'grams' => $grams,
        ])->assertNoContent();
        $count(500.0);
        $count(320.0);
        $count(null);

        $lot = $this->lots('bought')[0];
        self::assertSame(['olive-oil', null], [$lot->ingredient, $lot->left_grams]);
        self::assertSame([['counted', 500.0], ['counted', -180.0], ['unknown', -320.0]], $this->movements($lot->id));
        self::assertNull($this->got('IngredientPage', 'GET', 'ingredients/olive-oil')['stock_grams']);

        $count(50.0);
        $this->ask('DELETE', 'ingredients/olive-oil/cupboard')->assertNoContent();
        self::assertFalse($this->got('IngredientPage', 'GET', 'ingredients/olive-oil')['in_cupboard']);
        self::assertSame(['gone', -50.0], $this->movements($lot->id)[4]);
        $this->ask('PUT', 'ingredients/olive-oil/cupboard', [])->assertNoContent();
        self::assertCount(2, $this->lots('bought'), 'what comes anew is another lot');
    }

    public function test_a_finished_batch_stands_on_the_shelf_and_names_who_weighed(): void
    {
        $batch = $this->batch();

        $lot = $this->lots('made')[0];
        self::assertSame($batch['id'], $lot->batch_id);
        self::assertEqualsWithDelta($batch['jars'] * $batch['net_grams'], $lot->left_grams, 1e-9);
        self::assertSame([['made', $lot->left_grams]], $this->movements($lot->id));
        $weighed = WeighIn::query()->withoutGlobalScopes()->where('batch_id', $batch['id'])->get();
        self::assertCount(count($batch['weighings']), $weighed);
        self::assertSame(['amara'], array_values(array_unique($weighed->pluck('by_name')->all())));
    }

    public function test_what_was_done_at_the_counter_is_written_down_with_who_did_it_and_when(): void
    {
        $page = $this->formula("Light oil\n80 g jojoba oil\n20 g olive oil");
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $page['id']]);
        self::assertSame(['clean', 'combine', 'fill', 'wipe', 'label'], array_column($batch['tasks'], 'kind'));
        self::assertSame([false, false, false, false, false], array_column($batch['tasks'], 'done'));
        $tick = fn (string $task, bool $done, int $revision): array => [
            'revision' => $revision,
            'task' => $task,
            'done' => $done,
        ];
        $address = 'batches/'.$batch['id'].'/tasks';

        $ticked = $this->got('Batch', 'PUT', $address, $tick('combine', true, $batch['revision']));

        self::assertSame([false, true, false, false, false], array_column($ticked['tasks'], 'done'));
        self::assertSame(['', 'amara', '', '', ''], array_column($ticked['tasks'], 'by'));
        self::assertSame(today()->toDateString(), substr((string) $ticked['tasks'][1]['at'], 0, 10));
        $this->ask('PUT', $address, $tick('fill', true, $batch['revision']))->assertStatus(409);
        $this->ask('PUT', $address, $tick('melt', true, $ticked['revision']))
            ->assertStatus(422)
            ->assertJsonValidationErrors('task');
        $back = $this->got('Batch', 'PUT', $address, $tick('combine', false, $ticked['revision']));
        self::assertSame([false, false, false, false, false], array_column($back['tasks'], 'done'));
    }

    public function test_what_the_bench_stops_at_is_stopped_at_the_counter(): void
    {
        $page = $this->formula("Strong oil\n90 g olive oil\n10 g lavender essential oil");
        $begin = fn (array $more): TestResponse => $this->ask('POST', 'batches', [
            'formula_id' => $page['id'],
            ...$more,
        ]);
        $begin([])->assertStatus(422)->assertJsonValidationErrors('although');
        $begin(['although' => ' '])->assertStatus(422);
        $made = $begin(['although' => 'Thinned before use.'])->assertCreated();
        self::assertSame('Thinned before use.', $made->json('although'));

        $safe = $this->formula("Mild oil\n99 g olive oil\n0.5 g lavender essential oil");
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $safe['id']]);
        foreach ([99.0, 8.0] as $i => $grams) {
            $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
                'revision' => $batch['revision'],
                'line' => $batch['weighings'][$i]['line'],
                'gathered' => true,
                'grams' => $grams,
            ]);
        }
        self::assertFalse($batch['weighings'][1]['within']);
        $finish = ['revision' => $batch['revision'], 'jars' => 1, 'jar_ml' => 120, 'net_grams' => 100, 'note' => ''];
        $this->ask('POST', 'batches/'.$batch['id'].'/finish', $finish)
            ->assertStatus(422)
            ->assertJsonValidationErrors('although');
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            ...$finish,
            'although' => 'For thinning only.',
        ]);
        self::assertSame(['done', 'For thinning only.'], [$done['state'], $done['although']]);
        self::assertContains('load.total', array_column($done['actual']['findings'], 'code'));
    }

    public function test_a_strained_oil_is_a_lot_with_all_of_it_left(): void
    {
        $jar = $this->steep();
        $jar = $this->got('Steep', 'POST', 'steeps/'.$jar['id'].'/strain', [
            'revision' => $jar['revision'],
            'yield_grams' => 210,
            'loss_grams' => 0,
            'herb' => 'kept',
            'note' => 'Clear.',
        ]);

        $lot = $this->lots('steeped')[0];
        self::assertSame(['lot-'.$lot->id, 210.0], [$lot->ingredient, $lot->left_grams]);
        $event = $jar['events'][count($jar['events']) - 1];
        self::assertSame(
            ['strained', 'Strained. The herb is kept for another draw.', 'Clear.'],
            [$event['kind'], $event['words'], $event['note']],
        );
        $this->ask('POST', 'steeps/'.$jar['id'].'/events', [
            'kind' => 'strained',
            'on' => today()->toDateString(),
            'note' => '',
        ])
            ->assertStatus(422)
            ->assertJsonValidationErrors('kind');
    }

    public function test_where_an_ingredient_is_used_follows_every_write(): void
    {
        $page = $this->formula("Light oil\n80 g jojoba oil\n20 g olive oil");
        self::assertSame(['jojoba-oil', 'olive-oil'], $this->named('formula', $page['id']));

        $formula = $page['formula'];
        array_pop($formula['lines']);
        $page = $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $formula,
            'head_id' => null,
        ]);
        self::assertSame(['jojoba-oil'], $this->named('formula', $page['id']));
        self::assertSame([], $this->got('IngredientPage', 'GET', 'ingredients/olive-oil')['used_in']);

        $this->ask('DELETE', 'formulas/'.$page['id'])->assertSuccessful();
        self::assertSame([], $this->got('IngredientPage', 'GET', 'ingredients/jojoba-oil')['used_in']);
        $this->ask('POST', 'formulas/'.$page['id'].'/restore')->assertSuccessful();
        self::assertCount(1, $this->got('IngredientPage', 'GET', 'ingredients/jojoba-oil')['used_in']);
    }

    public function test_a_jar_names_what_came_in_later_until_it_is_taken_back(): void
    {
        $jar = $this->steep();
        $first = $this->named('steep', $jar['id']);
        $jar = $this->got('Steep', 'POST', 'steeps/'.$jar['id'].'/events', [
            'kind' => 'oil',
            'on' => today()->toDateString(),
            'note' => '',
            'ingredient' => 'argan-oil',
            'amount' => '20 g',
        ]);
        self::assertSame(['argan-oil'], array_values(array_diff($this->named('steep', $jar['id']), $first)));

        $this->ask('DELETE', 'steep-events/'.$jar['events'][0]['id'])->assertSuccessful();
        self::assertSame($first, $this->named('steep', $jar['id']));
    }

    /** @return list<Lot> of the first studio, in their order */
    private function lots(string $source): array
    {
        return array_values(
            Lot::query()
                ->withoutGlobalScopes()
                ->where('studio_id', $this->amara->studio_id)
                ->where('source', $source)
                ->orderBy('id')
                ->get()
                ->all(),
        );
    }

    /** @return list<array{string, float}> */
    private function movements(int $lot): array
    {
        return array_values(
            StockMovement::query()
                ->withoutGlobalScopes()
                ->where('lot_id', $lot)
                ->orderBy('id')
                ->get()
                ->map(static fn (StockMovement $m): array => [$m->kind, $m->grams])
                ->all(),
        );
    }

    /** @return list<string> */
    private function named(string $holder, int $id): array
    {
        return DB::table('ingredient_uses')
            ->where('holder', $holder)
            ->where('holder_id', $id)
            ->orderBy('ingredient')
            ->pluck('ingredient')
            ->all();
    }
}
