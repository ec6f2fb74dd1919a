<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pantry\Lot;
use App\Pantry\StockMovement;
use App\Studio\Role;
use App\Studio\User;

/** The shelf: every gram accounted for, what to use first, what it cost, where it went. */
final class ShelfTest extends StudioTestCase
{
    /**
     * @param  array<string, mixed>  ...$lots
     * @return list<array<string, mixed>>
     */
    private function bottles(array ...$lots): array
    {
        return $this->got('ShelfList', 'POST', 'pantry/lots', ['lots' => $lots])['items'];
    }

    /** @return array<string, mixed> */
    private function page(int $lot): array
    {
        $page = $this->got('LotPage', 'GET', 'pantry/lots/'.$lot);
        $sum = StockMovement::query()->where('lot_id', $lot)->sum('grams');
        self::assertEqualsWithDelta((float) $page['left_grams'], (float) $sum, 1e-6, 'what is left is the sum');

        return $page;
    }

    public function test_a_bill_is_read_put_away_and_stands_in_the_order_in_which_it_is_to_be_used(): void
    {
        $text = "250 ml castor, 6.90, best before 3/28, opened today\n2 x 100 ml jojoba oil 13.80, bb 2027-01-31";
        $read = $this->got('LotsRead', 'POST', 'pantry/read', ['text' => $text])['items'];
        self::assertSame(['castor-oil', 'jojoba-oil'], array_column($read, 'ingredient'));
        $fields = ['ingredient' => 1, 'grams' => 1, 'count' => 1, 'cost' => 1, 'printed_on' => 1, 'opened_on' => 1];
        $there = $this->bottles(...array_map(static fn (array $r): array => array_intersect_key($r, $fields), $read));
        self::assertCount(3, $there);
        $shelf = $this->got('ShelfList', 'GET', 'pantry/shelf')['items'];
        self::assertSame(['Jojoba oil', 'Jojoba oil', 'Castor oil'], array_column($shelf, 'name'));
        self::assertEqualsWithDelta(6.9 / 239.5 * 100, $shelf[2]['per_100g'], 1e-3);
        self::assertEquals(1, $shelf[2]['fill']);
        $this->ask('POST', 'pantry/lots', ['lots' => [['ingredient' => 'no-such']]])
            ->assertStatus(422)
            ->assertJsonValidationErrors('lots.0.ingredient');
        $this->ask('POST', 'pantry/lots', ['lots' => [['ingredient' => 'castor-oil', 'place' => 'The moon']]])
            ->assertStatus(422)
            ->assertJsonValidationErrors('lots.0.place');
        self::assertCount(3, $this->got('ShelfList', 'GET', 'pantry/shelf')['items']);
        self::assertSame([], $this->got('ShelfList', 'GET', 'pantry/shelf', as: $this->stranger)['items']);
        $this->ask('GET', 'pantry/shelf?cursor='.base64_encode('{"id":1}'))->assertStatus(422);
        // A shelf longer than a page goes on where the page before ended.
        $this->bottles(['ingredient' => 'olive-oil', 'grams' => 5, 'count' => 50]);
        $this->bottles(['ingredient' => 'olive-oil', 'grams' => 5, 'count' => 20]);
        $page = $this->got('ShelfList', 'GET', 'pantry/shelf');
        $rest = $this->got('ShelfList', 'GET', 'pantry/shelf?cursor='.$page['next']);
        self::assertCount(73, array_unique(array_column([...$page['items'], ...$rest['items']], 'id')));
        self::assertNull($rest['next']);
    }

    public function test_what_is_said_of_a_bottle_moves_the_day_by_which_it_is_to_be_used(): void
    {
        [$lot] = $this->bottles(['ingredient' => 'castor-oil', 'grams' => 200, 'bought_on' => today()->toDateString()]);
        $before = $this->page($lot['id'])['life']['use_by'];
        $warm = $this->got('LotPage', 'PUT', 'pantry/lots/'.$lot['id'], ['place' => 'Warm kitchen']);
        self::assertLessThan($before, $warm['life']['use_by']);
        self::assertSame('Warm kitchen', $warm['place']);
        $printed = today()->addDays(9)->toDateString();
        $page = $this->got('LotPage', 'PUT', 'pantry/lots/'.$lot['id'], ['printed_on' => $printed]);
        self::assertSame([$printed, 'printed', 9], [$page['use_by'], $page['life']['by'], $page['days_left']]);
        $page = $this->got('LotPage', 'PUT', 'pantry/lots/'.$lot['id'], ['printed_on' => '']);
        self::assertSame($warm['life']['use_by'], $page['use_by']);
        $today = $this->got('Today', 'GET', 'today')['items'];
        self::assertNotContains('use-first', array_column($today, 'kind'));
        $this->got('LotPage', 'PUT', 'pantry/lots/'.$lot['id'], ['printed_on' => $printed]);
        $today = $this->got('Today', 'GET', 'today')['items'];
        self::assertSame('Use Castor oil first.', array_column($today, 'words', 'kind')['use-first']);
    }

    public function test_weighing_puts_the_count_right_and_nothing_is_lost_by_it(): void
    {
        [$lot] = $this->bottles(['ingredient' => 'castor-oil', 'grams' => 200, 'tare_grams' => 85]);
        $path = 'pantry/lots/'.$lot['id'].'/movements';
        $page = $this->ask('POST', $path, ['kind' => 'counted', 'full_grams' => 235])->assertCreated()->json();
        self::assertEqualsWithDelta(150.0, $page['left_grams'], 1e-9);
        self::assertEqualsWithDelta(-50.0, $page['movements'][0]['grams'], 1e-9);
        $this->ask('POST', $path, ['kind' => 'counted', 'full_grams' => 80])
            ->assertStatus(422)
            ->assertJsonValidationErrors('full_grams');
        $this->ask('POST', $path, ['kind' => 'wasted'])->assertStatus(422)->assertJsonValidationErrors('grams');
        $this->ask('POST', $path, ['kind' => 'wasted', 'grams' => 0])->assertStatus(422);
        $this->ask('POST', $path, ['kind' => 'made', 'grams' => 5])->assertStatus(422);
        // More was spilt than was thought to be there.
        $page = $this->ask('POST', $path, ['kind' => 'wasted', 'grams' => 160])->assertCreated()->json();
        self::assertEqualsWithDelta(0.0, $page['left_grams'], 1e-9);
        self::assertSame(['wasted', 'corrected'], array_slice(array_column($page['movements'], 'kind'), 0, 2));
        self::assertSame(today()->toDateString(), $page['emptied_on']);
        self::assertSame([], $this->got('ShelfList', 'GET', 'pantry/shelf')['items']);
        self::assertCount(1, $this->got('ShelfList', 'GET', 'pantry/shelf?state=gone')['items']);
        // It was not empty after all.
        $page = $this->ask('POST', $path, ['kind' => 'counted', 'grams' => 12])->assertCreated()->json();
        self::assertNull($page['emptied_on']);
        $this->page($lot['id']);
    }

    public function test_a_batch_takes_from_the_first_to_expire_and_knows_what_it_cost(): void
    {
        $formula = $this->formula();
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        $first = $batch['weighings'][0];
        $soon = today()->addDays(40)->toDateString();
        [$late, $early] = $this->bottles(
            ['ingredient' => $first['ingredient'], 'grams' => 1000, 'cost' => 20],
            ['ingredient' => $first['ingredient'], 'grams' => 5, 'cost' => 1, 'printed_on' => $soon],
        );
        self::assertStringStartsWith(
            sprintf('What is being made or was ordered takes %s g; ', $first['target_grams']),
            $this->page($late['id'])['planned'],
        );
        $batch = $this->weighed($batch);
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
        $went = $first['target_grams'];
        self::assertStringStartsWith('Nothing that is being made', $this->page($late['id'])['planned']);
        self::assertEqualsWithDelta(0.0, $this->page($early['id'])['left_grams'], 1e-6);
        self::assertEqualsWithDelta(1000 - ($went - 5), $this->page($late['id'])['left_grams'], 1e-3);
        $asked = 'container=0.5&minutes=30&hourly=12&margin=50&rise=10';
        $cost = $this->got('JarCost', 'GET', 'batches/'.$done['id'].'/cost?'.$asked);
        $money = 1 + ($went - 5) * 0.02;
        $row = array_column($cost['materials'], null, 'name')[$first['name']];
        self::assertSame('lots', $row['from']);
        self::assertEqualsWithDelta($money, $row['money'], 1e-3);
        self::assertEqualsWithDelta($money / 30, $row['more_a_jar'], 1e-3);
        self::assertEqualsWithDelta(($cost['known'] + 6) / 3 + 0.5, $cost['per_jar'], 1e-3);
        self::assertEqualsWithDelta($cost['per_jar'] * 2, $cost['price'], 1e-3);
        self::assertNotSame([], $cost['unknown']);
        // Its jars are given away and sold, and everybody who has one is known.
        $jars = Lot::query()->where('batch_id', $done['id'])->firstOrFail();
        $path = 'pantry/lots/'.$jars->id.'/movements';
        $page = $this->ask('POST', $path, ['kind' => 'sold', 'jars' => 2, 'to' => 'Ms Ode', 'price' => 24])->json();
        self::assertEqualsWithDelta(27.0, $page['left_grams'], 1e-6);
        self::assertSame([2, 'Ms Ode'], [$page['movements'][0]['jars'], $page['movements'][0]['to']]);
        $trace = $this->page($early['id'])['trace'];
        self::assertContains('person-Ms Ode', array_column($trace['nodes'], 'name'));
        self::assertContains('batch-'.$done['id'], array_column($trace['nodes'], 'name'));
        self::assertSame(3, array_column($trace['nodes'], 'column', 'name')['person-Ms Ode']);
        $open = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        $this->ask('GET', 'batches/'.$open['id'].'/cost')->assertStatus(409);
    }

    public function test_she_says_at_the_scale_that_she_took_another_bottle(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $line = $batch['weighings'][0];
        [$late, $early, $other] = $this->bottles(
            ['ingredient' => $line['ingredient'], 'grams' => 1000],
            ['ingredient' => $line['ingredient'], 'grams' => 900, 'printed_on' => today()->addDays(40)->toDateString()],
            ['ingredient' => 'candelilla-wax', 'grams' => 50],
        );
        $fresh = $this->got('Batch', 'GET', 'batches/'.$batch['id'])['weighings'][0];
        self::assertSame([$early['id']], array_column($fresh['bottles'], 'lot'));
        self::assertSame([$late['id']], array_column($fresh['other_bottles'], 'lot'));
        $batch = $this->weighed($batch);
        $weigh = ['line' => $line['line'], 'gathered' => true, 'grams' => $line['target_grams']];
        $path = 'batches/'.$batch['id'].'/weighings';
        $this->ask('PUT', $path, [...$weigh, 'revision' => $batch['revision'], 'lot' => $other['id']])
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['lot']]);
        $batch = $this->got('Batch', 'PUT', $path, [...$weigh, 'revision' => $batch['revision'], 'lot' => $late['id']]);
        self::assertSame($late['id'], $batch['weighings'][0]['lot']);
        self::assertSame([$late['id']], array_column($batch['weighings'][0]['bottles'], 'lot'));
        $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
        self::assertEqualsWithDelta(900.0, $this->page($early['id'])['left_grams'], 1e-6);
        self::assertEqualsWithDelta(1000 - $line['target_grams'], $this->page($late['id'])['left_grams'], 1e-3);
    }

    public function test_a_bottle_that_is_called_back_after_it_was_weighed_from_stays_in_the_jar(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $line = $batch['weighings'][0];
        [$late, $early] = $this->bottles(
            ['ingredient' => $line['ingredient'], 'grams' => 1000],
            ['ingredient' => $line['ingredient'], 'grams' => 900, 'printed_on' => today()->addDays(40)->toDateString()],
        );
        $batch = $this->weighed($batch);
        $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => $line['line'],
            'gathered' => true,
            'grams' => $line['target_grams'],
            'lot' => $late['id'],
        ]);
        self::assertSame([], $batch['withdrawn']);
        Lot::query()->whereKey($late['id'])->update(['withdrawn' => 'Rancid', 'withdrawn_on' => today()]);

        $open = $this->got('Batch', 'GET', 'batches/'.$batch['id']);
        self::assertStringContainsString('Rancid', implode(' ', $open['withdrawn']));
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
        self::assertStringContainsString('Rancid', implode(' ', $done['withdrawn']));
        self::assertEqualsWithDelta(900.0, $this->page($early['id'])['left_grams'], 1e-6);
        self::assertEqualsWithDelta(1000 - $line['target_grams'], $this->page($late['id'])['left_grams'], 1e-3);
    }

    public function test_what_is_called_back_is_said_of_all_that_came_of_it(): void
    {
        $formula = $this->formula();
        $ingredient = $formula['formula']['lines'][0]['ingredient'];
        [$lot] = $this->bottles(['ingredient' => $ingredient, 'grams' => 900]);
        $batch = $this->batch();
        self::assertSame([], $this->got('Batch', 'GET', 'batches/'.$batch['id'])['withdrawn']);
        $path = 'pantry/lots/'.$lot['id'].'/withdrawn';
        $page = $this->got('LotPage', 'PUT', $path, ['reason' => 'The mill called it back.']);
        self::assertStringContainsString('called it back', $page['withdrawn']);
        $said = $this->got('Batch', 'GET', 'batches/'.$batch['id'])['withdrawn'];
        self::assertCount(1, $said);
        self::assertStringContainsString('called it back', $said[0]);
        $this->actingAs($this->amara)->get('/papers/batches/'.$batch['id'].'/label.pdf')->assertStatus(409);
        // Nothing is taken of it any more, and what there is of it is not counted.
        $this->got('LotPage', 'PUT', $path, ['reason' => '']);
        self::assertSame([], $this->got('Batch', 'GET', 'batches/'.$batch['id'])['withdrawn']);
    }

    public function test_a_steep_takes_what_goes_into_it_and_gives_it_back_when_it_was_never_begun(): void
    {
        $draft = self::steepDraft();
        [$oil] = $this->bottles(['ingredient' => $draft['oils'][0]['ingredient'], 'grams' => 1000, 'cost' => 10]);
        [$herb] = $this->bottles(['ingredient' => $draft['herbs'][0]['ingredient'], 'grams' => 10, 'cost' => 1]);
        $steep = $this->got('Steep', 'POST', 'steeps', [
            ...$draft,
            'started_on' => today()->toDateString(),
        ]);
        // 360 g of oil at 0.01 and 40 g of herb at 0.1.
        self::assertEqualsWithDelta(3.6 + 4.0, $steep['cost'], 0.01);
        $poured = array_column($steep['draft']['oils'], 'amount');
        $after = $this->page($oil['id'])['left_grams'];
        self::assertLessThan(1000.0, $after, implode(', ', $poured));
        self::assertEqualsWithDelta(0.0, $this->page($herb['id'])['left_grams'], 1e-6, 'more went in than was thought');
        $this->ask('DELETE', 'steeps/'.$steep['id'])->assertNoContent();
        self::assertEqualsWithDelta(1000.0, $this->page($oil['id'])['left_grams'], 1e-6);
        self::assertEqualsWithDelta(10.0, $this->page($herb['id'])['left_grams'], 1e-6);
        $this->travel(3)->days();
        $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/restore');
        self::assertEqualsWithDelta($after, $this->page($oil['id'])['left_grams'], 1e-6);
        $this->ask('DELETE', 'steeps/'.$steep['id'])->assertNoContent();
        self::assertEqualsWithDelta($after, $this->page($oil['id'])['left_grams'], 1e-6, 'it has stood for days');
    }

    public function test_what_is_added_to_a_running_jar_comes_off_the_shelf_until_it_is_taken_back(): void
    {
        $steep = $this->steep();
        [$oil] = $this->bottles(['ingredient' => 'olive-oil', 'grams' => 500]);
        $added = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/events', [
            'kind' => 'oil',
            'on' => today()->toDateString(),
            'note' => '',
            'ingredient' => 'olive-oil',
            'amount' => '60 g',
            'form' => '',
        ]);
        self::assertEqualsWithDelta(440.0, $this->page($oil['id'])['left_grams'], 1e-6);
        $this->got('Steep', 'DELETE', 'steep-events/'.$added['events'][0]['id']);
        self::assertEqualsWithDelta(500.0, $this->page($oil['id'])['left_grams'], 1e-6);
    }

    public function test_what_was_paid_counts_before_a_price_that_was_written_down(): void
    {
        $nine = ['low' => 9, 'best' => 9, 'high' => 9];
        $figure = ['form' => '', 'property' => 'price_per_kg', ...$nine, 'source' => 'ours'];
        $this->ask('PUT', 'ingredients/olive-oil/figures', $figure);
        $cost = fn (): array => $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $this->read("Oil\n100 g olive oil"),
        ])['assessment']['cost'];
        self::assertEqualsWithDelta(0.9, $cost()['known']['best'], 1e-6);
        $price = fn (): string => $this->got('CostPlan', 'POST', 'cost', [
            'formula' => $this->read("Oil\n100 g olive oil"),
        ])['rows'][0]['price_is'];
        self::assertSame('said', $price());
        $this->bottles(['ingredient' => 'olive-oil', 'grams' => 500, 'cost' => 6]);
        self::assertEqualsWithDelta(1.2, $cost()['known']['best'], 1e-6);
        self::assertSame('paid', $price());
    }

    public function test_what_is_short_for_what_is_to_be_made_is_told_in_packs(): void
    {
        $formula = $this->formula();
        $line = $formula['formula']['lines'][0];
        $this->bottles(['ingredient' => $line['ingredient'], 'grams' => 100, 'cost' => 3]);
        $asked = ['wanted' => [['formula_id' => $formula['id'], 'grams' => 2000]]];
        $list = $this->got('ShoppingList', 'POST', 'pantry/shopping', $asked);
        $row = array_column($list['rows'], null, 'ingredient')[$line['ingredient']];
        self::assertEquals(100, $row['at_hand']);
        self::assertSame((int) ceil($row['short'] / 100), $row['buy'][0]['count']);
        self::assertEqualsWithDelta(3 * $row['buy'][0]['count'], $row['money'], 1e-6);
        self::assertStringContainsString(' x 100 g', $list['text']);
        $this->ask('POST', 'pantry/shopping', ['wanted' => [['formula_id' => 999999]]])->assertNotFound();
        $this->ask('POST', 'pantry/shopping', $asked, $this->stranger)->assertNotFound();
        // With what is being made now, and what was ordered and does not stand there.
        self::assertSame([], $this->got('ShoppingList', 'POST', 'pantry/shopping', ['wanted' => []])['rows']);
        $needed = fn (): float => array_column($this->got('ShoppingList', 'POST', 'pantry/shopping', [
            'wanted' => [],
            'open' => true,
        ])['rows'], 'needed', 'ingredient')[$line['ingredient']] ?? 0.0;
        self::assertSame(0.0, $needed());
        $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        $one = $needed();
        self::assertGreaterThan(0.0, $one);
        $this->got('OrderList', 'POST', 'orders', [
            'formula_id' => $formula['id'],
            'who' => 'Ms Ode',
            'jars' => 4,
            'jar_ml' => 50,
            'due_on' => today()->addDays(9)->toDateString(),
        ]);
        self::assertGreaterThan($one, $needed());
    }

    public function test_a_jar_keeps_no_longer_than_the_first_of_its_bottles(): void
    {
        $formula = $this->formula();
        $ingredient = $formula['formula']['lines'][0]['ingredient'];
        $soon = today()->addDays(33)->toDateString();
        $this->bottles(['ingredient' => $ingredient, 'grams' => 900, 'printed_on' => $soon]);
        $batch = $this->batch();
        self::assertSame($soon, $batch['label']['best_before']);
        self::assertNotSame('', $batch['label']['kept_by']);
        self::assertSame($soon, Lot::query()->where('batch_id', $batch['id'])->firstOrFail()->useBy());
        $this->travel(40)->days();
        $over = $this->got('Batch', 'POST', 'batches', [
            'formula_id' => $formula['id'],
            'although' => 'It smells fresh, and is for ourselves.',
        ]);
        $over = $this->weighed($over);
        $late = $this->got('Batch', 'POST', 'batches/'.$over['id'].'/finish', [
            'revision' => $over['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
        self::assertSame(today()->toDateString(), $late['label']['best_before'], 'past its day, it promises nothing');
        $this->travelBack();
        // Where it stands warmer than its label says, it is to be used sooner.
        $jars = Lot::query()->where('batch_id', $batch['id'])->firstOrFail();
        $warm = $this->got('LotPage', 'PUT', 'pantry/lots/'.$jars->id, ['place' => 'Warm kitchen']);
        self::assertLessThan($soon, $warm['use_by']);
        self::assertStringContainsString('It stands at 26 °C', $warm['life']['reasons'][0]);
    }

    public function test_what_is_left_of_a_bottle_is_used_up_by_formulas_that_hold_it(): void
    {
        $formula = $this->formula();
        $ingredient = $formula['formula']['lines'][0]['ingredient'];
        [$lot] = $this->bottles(['ingredient' => $ingredient, 'grams' => 900]);
        [$other] = $this->bottles(['ingredient' => 'neem-oil', 'grams' => 9]);
        $up = $this->got('UseUps', 'GET', 'pantry/lots/'.$lot['id'].'/use-up')['items'];
        self::assertSame([$formula['id']], array_column($up, 'id'));
        self::assertEqualsWithDelta(900.0, $up[0]['uses_grams'] + $up[0]['remains_grams'], 0.2);
        self::assertEqualsWithDelta(900 / ($up[0]['share_percent'] / 100), $up[0]['batch_for_all_grams'], 1.0);
        self::assertSame([], $this->got('UseUps', 'GET', 'pantry/lots/'.$other['id'].'/use-up')['items']);
    }

    public function test_orders_are_planned_back_take_from_the_shelf_and_know_who_has_the_jars(): void
    {
        $formula = $this->batch()['formula_id'];
        $order = static fn (int $jars, int $days): array => [
            'formula_id' => $formula,
            'who' => 'Ms Ode',
            'jars' => $jars,
            'jar_ml' => 30,
            'due_on' => today()->addDays($days)->toDateString(),
            'price' => 30,
        ];
        $this->ask('POST', 'orders', [...$order(0, 9)])->assertStatus(422)->assertJsonValidationErrors('jars');
        $this->ask('POST', 'orders', [...$order(1, 9), 'formula_id' => 999999])->assertStatus(422);
        $this->ask('POST', 'orders', $order(2, 20), $this->stranger)->assertStatus(422);
        $this->got('OrderList', 'POST', 'orders', $order(2, 20));
        $list = $this->got('OrderList', 'POST', 'orders', $order(4, 4));
        self::assertSame([4, 2], array_column($list['items'], 'jars'), 'the first to be due first');
        $today = $this->got('Today', 'GET', 'today')['items'];
        self::assertStringContainsString('for Ms Ode. Make 1 by', array_column($today, 'words', 'kind')['order']);
        $plans = array_column($list['items'], 'plan');
        self::assertSame([[3, 1], [0, 2]], array_map(
            static fn (array $p): array => [$p['from_shelf'], $p['to_make']],
            $plans,
        ), 'each takes what those before it left');
        self::assertSame(3, $list['jars'][0]['jars']);
        $id = $list['items'][1]['id'];
        $this->ask('PUT', 'orders/'.$id, ['state' => 'lost'])->assertStatus(422);
        $this->ask('PUT', 'orders/'.$id, ['state' => 'given'], $this->stranger)->assertNotFound();
        $list = $this->got('OrderList', 'PUT', 'orders/'.$id, ['state' => 'given']);
        self::assertCount(1, $list['items']);
        self::assertSame([1, 2], [$list['jars'][0]['jars'], $list['jars'][0]['went']]);
        self::assertNotNull($list['jars'][0]['make_again_by']);
        $page = $this->page($list['jars'][0]['lot_id']);
        self::assertSame(['Ms Ode', 2], [$page['movements'][0]['to'], $page['movements'][0]['jars']]);
        self::assertEqualsWithDelta(30.0, $page['movements'][0]['price'], 1e-6);
        $this->ask('PUT', 'orders/'.$id, ['state' => 'open'])->assertStatus(409);
        $this->ask('PUT', 'orders/'.$list['items'][0]['id'], ['state' => 'given'])
            ->assertStatus(409)
            ->assertJsonPath('errors.state.0', '1 of the 4 jars stand there: make the rest first.');
        $off = $this->got('OrderList', 'PUT', 'orders/'.$list['items'][0]['id'], ['state' => 'off']);
        self::assertSame([], $off['items']);
    }

    public function test_a_helper_sees_no_shelf(): void
    {
        $helper = User::query()->create([
            'studio_id' => $this->amara->studio_id,
            'name' => 'Hana',
            'email' => 'hana',
            'password' => 'three grey geese by the mill',
            'role' => Role::Helper,
        ])->load('studio');
        $this->bottles(['ingredient' => 'olive-oil', 'grams' => 5, 'printed_on' => today()->toDateString()]);
        $this->ask('GET', 'pantry/shelf', [], $helper)->assertForbidden();
        $today = $this->ask('GET', 'today', [], $helper)->assertOk()->json('items');
        self::assertNotContains('use-first', array_column($today, 'kind'));
    }
}
