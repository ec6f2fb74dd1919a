<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A studio's own scales, spoons and droppers, and what they change. */
final class KitTest extends StudioTestCase
{
    /** @param  array<string, mixed>  $item */
    private function add(array $item): array
    {
        return $this->got('Kit', 'POST', 'kit', $item);
    }

    public function test_what_is_in_the_kit_changes_every_figure_and_says_so(): void
    {
        $grams = fn (): array => $this->got('ReadAnswer', 'POST', 'read', ['text' => "Oil\n2 tbsp shea butter"])[
            'reading'
        ]['lines'][0]['grams'];
        $before = $grams();
        $this->add(['kind' => 'scale', 'name' => 'Small scale', 'step_grams' => 0.1, 'most_grams' => 500]);
        $kit = $this->add([
            'kind' => 'spoon',
            'name' => 'Grandmother\'s',
            'unit' => 'tbsp',
            'ingredient' => 'shea-butter',
            'grams' => 12.1,
        ]);
        self::assertSame(['Small scale', 'Grandmother\'s'], array_column($kit['items'], 'name'));
        self::assertSame('Shea butter', $kit['items'][1]['substance']);
        self::assertEqualsWithDelta(24.2, $grams()['best'], 1e-6);
        self::assertNotEqualsWithDelta(24.2, $before['best'], 0.01);

        $changed = $this->got('Kit', 'PUT', 'kit/2', [
            'kind' => 'spoon',
            'name' => 'Mine',
            'unit' => 'tbsp',
            'ingredient' => 'shea-butter',
            'grams' => 13,
        ]);
        self::assertEquals(13, $changed['items'][1]['grams']);
        self::assertEqualsWithDelta(26.0, $grams()['best'], 1e-6);
        $this->got('Kit', 'DELETE', 'kit/2');
        self::assertEqualsWithDelta($before['best'], $grams()['best'], 1e-6);
        self::assertSame(
            'Small scale',
            $this->got('Kit', 'GET', 'kit')['items'][0]['name'],
        );
    }

    public function test_a_jar_of_the_kit_weighed_full_tells_what_it_holds(): void
    {
        $this->add(['kind' => 'jar', 'name' => 'The tin', 'brim_ml' => 35, 'tare_grams' => 20.5]);
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $batch = $this->weighed($batch);
        $path = 'batches/'.$batch['id'].'/finish';
        $asked = ['revision' => $batch['revision'], 'jars' => 3, 'jar_ml' => 30, 'note' => ''];
        $this->ask('POST', $path, $asked)->assertStatus(422)->assertJsonValidationErrors('net_grams');
        $this->ask('POST', $path, [...$asked, 'full_grams' => 20, 'jar' => 1])
            ->assertStatus(422)
            ->assertJsonPath('errors.full_grams.0', 'The tin weighs 20.5 g empty: weighed full it is more than that.');
        $this->ask('POST', $path, [...$asked, 'full_grams' => 47.5, 'jar' => 9])->assertStatus(422);
        $done = $this->got('Batch', 'POST', $path, [...$asked, 'full_grams' => 47.5, 'jar' => 1]);
        self::assertEqualsWithDelta(27.0, $done['net_grams'], 1e-9);
        self::assertSame('27 g net', $done['label']['net']);
    }

    public function test_a_pump_tells_a_routine_its_strokes_and_places_are_offered(): void
    {
        self::assertContains('Cool cupboard', array_column($this->got('Kit', 'GET', 'kit')['places'], 'name'));
        $pump = ['kind' => 'dropper', 'sort' => 'pump', 'name' => 'the pump', 'ingredient' => 'jojoba-oil'];
        $this->add([...$pump, 'drops' => 10, 'grams' => 8]);
        $kit = $this->add(['kind' => 'place', 'name' => 'Attic', 'summer_celsius' => 31, 'winter_celsius' => 4]);
        self::assertEquals([['name' => 'Attic', 'celsius' => 31, 'wet' => false, 'own' => true]], $kit['places']);
        $routine = $this->routineOf($this->batch()['id']);
        $strokes = (int) round($routine['grams_per_use'] / 0.8);
        self::assertStringContainsString("about $strokes stroke", $routine['strokes']);
    }

    public function test_two_choices_made_one_after_the_other_both_count_and_reach_what_is_begun(): void
    {
        $this->got('Session', 'PUT', 'schools', ['school' => 'order', 'option' => 'oil-cream']);
        $session = $this->got('Session', 'PUT', 'schools', ['school' => 'scents', 'option' => 'some']);
        self::assertSame(['oil-cream', 'some'], [
            $session['studio']['schools']['order'],
            $session['studio']['schools']['scents'],
        ]);
        self::assertSame('After water, and a cream over it', $session['studio']['begins']['ways']['sealing-oil']);
    }

    public function test_what_cannot_be_is_told_by_its_field_and_nothing_is_kept(): void
    {
        $this->ask('POST', 'kit', ['kind' => 'scale', 'name' => 'x', 'step_grams' => -1, 'most_grams' => 5])
            ->assertStatus(422)
            ->assertJsonValidationErrors('step_grams');
        $unknown = ['kind' => 'dropper', 'name' => 'x', 'ingredient' => 'no-such', 'drops' => 4, 'grams' => 1];
        $this->ask('POST', 'kit', $unknown)
            ->assertStatus(422)
            ->assertJsonValidationErrors('ingredient');
        $this->ask('PUT', 'kit/7', ['kind' => 'strainer', 'name' => 'x'])->assertNotFound();
        self::assertSame([], $this->got('Kit', 'GET', 'kit')['items']);
        self::assertSame([], $this->got('Kit', 'GET', 'kit', as: $this->stranger)['items']);
    }

    public function test_where_makers_disagree_the_safer_is_set_until_she_chooses(): void
    {
        $schools = $this->got('Schools', 'GET', 'schools')['items'];
        $now = $this->ask('GET', 'session')->json('studio.schools');
        foreach ($schools as $school) {
            self::assertSame($school['options'][0]['option'], $now[$school['school']]);
        }
        $chosen = $this->got('Session', 'PUT', 'schools', ['school' => 'pressing', 'option' => 'pressed']);
        self::assertSame('pressed', $chosen['studio']['schools']['pressing']);
        self::assertSame('cold', $chosen['studio']['schools']['heat']);
        $this->ask('PUT', 'schools', ['school' => 'heat', 'option' => 'frozen'])
            ->assertStatus(422)
            ->assertJsonPath('errors.option.0', 'Allowed: cold, warm.');
        $this->ask('PUT', 'schools', ['school' => 'football', 'option' => 'x'])->assertStatus(422);
    }
}
