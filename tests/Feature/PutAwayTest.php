<?php

declare(strict_types=1);

namespace Tests\Feature;

/** What is begun by mistake, or is over, can be put away and brought back; pressing twice makes no two. */
final class PutAwayTest extends StudioTestCase
{
    /** @return list<int> */
    private function ids(string $schema, string $path): array
    {
        return array_column($this->got($schema, 'GET', $path)['items'], 'id');
    }

    public function test_a_jar_put_away_is_gone_from_shelf_and_day_and_comes_back(): void
    {
        $steep = $this->steep();
        $place = 'steeps/'.$steep['id'];
        self::assertFalse($steep['put_away']);

        $this->ask('DELETE', $place)->assertNoContent();
        self::assertNotContains($steep['id'], $this->ids('SteepList', 'steeps'));
        self::assertSame([], $this->got('Today', 'GET', 'today')['shelf']);
        self::assertTrue($this->got('Steep', 'GET', $place)['put_away'], 'its page can still be read');
        $this->ask('PUT', $place.'/shakes', ['date' => today()->toDateString(), 'done' => true])->assertNotFound();

        self::assertFalse($this->got('Steep', 'POST', $place.'/restore')['put_away']);
        self::assertContains($steep['id'], $this->ids('SteepList', 'steeps'));
    }

    public function test_the_oil_of_a_jar_put_away_stays_in_the_pantry(): void
    {
        $steep = $this->steep(start: today()->subDays(28)->toDateString());
        $steep = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 300,
            'loss_grams' => 0,
        ]);
        $this->ask('DELETE', 'steeps/'.$steep['id'])->assertNoContent();

        $lots = $this->got('LotList', 'GET', 'lots')['items'];
        self::assertSame([$steep['lot']['id']], array_column($lots, 'id'));
        $this->ask('GET', '/papers/lots/'.$steep['lot']['id'].'/label.pdf')->assertOk();
    }

    public function test_another_draw_is_offered_while_the_herb_is_kept(): void
    {
        $strain = fn (string $herb): array => $this->got(
            'Steep',
            'POST',
            'steeps/'.($steep = $this->steep(start: today()->subDays(28)->toDateString()))['id'].'/strain',
            ['revision' => $steep['revision'], 'yield_grams' => 300, 'loss_grams' => 0, 'herb' => $herb],
        );

        self::assertTrue($strain('kept')['draw_again']);
        $composted = $strain('composted');
        self::assertFalse($composted['draw_again']);
        self::assertNotContains('steep.ratio', array_column($composted['plan']['findings'], 'code'));
    }

    public function test_an_unfinished_batch_can_be_put_away_and_a_record_cannot(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $this->ask('DELETE', 'batches/'.$batch['id'])->assertNoContent();
        self::assertNotContains($batch['id'], $this->ids('BatchList', 'batches'));
        self::assertSame([], $this->got('Today', 'GET', 'today')['items']);
        $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/restore');
        self::assertContains($batch['id'], $this->ids('BatchList', 'batches'));

        $done = $this->batch();
        $this->ask('DELETE', 'batches/'.$done['id'])
            ->assertStatus(409)
            ->assertJsonPath('message', 'This batch is done. A record is not changed; make it again instead.');
    }

    public function test_the_code_of_a_batch_put_away_is_not_given_twice(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $this->ask('DELETE', 'batches/'.$batch['id'])->assertNoContent();
        $next = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);

        self::assertNotSame($batch['lot_code'], $next['lot_code']);
    }

    public function test_make_it_pressed_again_opens_what_was_begun_and_a_changed_formula_begins_anew(): void
    {
        $formula = $this->formula();
        $first = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        $again = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        self::assertSame($first['id'], $again['id']);

        $changed = $formula['formula'];
        $changed['title'] = 'Another name';
        $this->got('FormulaPage', 'PUT', 'formulas/'.$formula['id'], [
            'revision' => $formula['revision'],
            'formula' => $changed,
            'head_id' => null,
            'hair' => null,
        ]);
        $anew = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        self::assertNotSame($first['id'], $anew['id']);
    }

    public function test_a_routine_can_be_put_away_and_begins_no_earlier_than_its_batch(): void
    {
        $batch = $this->batch();
        $routine = $this->routineOf($batch['id']);
        $this->ask('DELETE', 'routines/'.$routine['id'])->assertNoContent();
        self::assertSame([], $this->ids('RoutineList', 'routines'));
        $this->got('Routine', 'POST', 'routines/'.$routine['id'].'/restore');
        self::assertSame([$routine['id']], $this->ids('RoutineList', 'routines'));

        $this->ask('POST', 'routines', [
            'head_id' => $this->headOf('Zola')['id'],
            'batch_id' => $batch['id'],
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->subDay()->toDateString(),
            'way' => '',
        ])
            ->assertStatus(422)
            ->assertJsonPath('errors.starts_on.0', sprintf(
                'It was made on %s: the first day is that day or a later one.',
                today()->format('j F Y'),
            ));
    }
}
