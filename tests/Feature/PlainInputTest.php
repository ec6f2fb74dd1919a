<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

/** What nobody should send is refused by its name, and nothing of it is kept. */
final class PlainInputTest extends StudioTestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function blanks(): iterable
    {
        yield 'a blank need' => [['wants' => ['']], 'wants.0'];
        yield 'a blank condition' => [['conditions' => [' ']], 'conditions.0'];
        yield 'a blank sign' => [['signs' => ['']], 'signs.0'];
        yield 'needs that are no list' => [['wants' => ''], 'wants'];
        yield 'a blank strand' => [['strand' => ''], 'strand'];
        yield 'a blank scalp' => [['scalp' => '  '], 'scalp'];
        yield 'a blank yes or no' => [['pregnant' => ''], 'pregnant'];
        yield 'blank days between washes' => [['wash_every_days' => ''], 'wash_every_days'];
        yield 'blank allergies' => [['allergies' => ['']], 'allergies.0'];
    }

    /** @param  array<string, mixed>  $over */
    #[DataProvider('blanks')]
    public function test_a_blank_is_no_choice_and_breaks_no_room(array $over, string $field): void
    {
        $head = $this->headOf();
        $this->ask('POST', 'heads', ['name' => 'Imani', ...$over])
            ->assertStatus(422)
            ->assertJsonValidationErrors($field);
        $this->ask('PUT', 'heads/'.$head['id'], [
            'name' => 'Imani',
            'revision' => $head['revision'],
            ...$over,
        ])->assertStatus(422);
        self::assertCount(1, $this->got('HeadList', 'GET', 'heads')['items']);
        self::assertSame($head, $this->got('Head', 'GET', 'heads/'.$head['id']));
    }

    public function test_no_note_is_an_empty_one(): void
    {
        self::assertSame('', $this->got('Head', 'POST', 'heads', ['name' => 'Imani', 'note' => null])['note']);
    }

    public function test_a_blank_weight_is_not_zero_grams(): void
    {
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $weigh = [
            'revision' => $batch['revision'],
            'line' => $batch['weighings'][0]['line'],
            'gathered' => true,
            'grams' => '',
        ];
        $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', $weigh)
            ->assertStatus(422)
            ->assertJsonValidationErrors('grams');
        self::assertNull($this->got('Batch', 'GET', 'batches/'.$batch['id'])['weighings'][0]['actual_grams']);
    }

    public function test_one_value_for_each_name_of_an_address(): void
    {
        foreach (
            [
                'formulas?q[]=1',
                'formulas?state[]=1',
                'batches?cursor[]=1',
                'ingredients?q[]=a',
                'ingredients/compare?ids[]=a',
            ] as $path
        ) {
            $field = (string) preg_replace('/.*\?(\w+).*/', '$1', $path);
            $this->ask('GET', $path)
                ->assertStatus(422)
                ->assertJsonPath('errors.'.$field.'.0', 'Allowed: one value.');
        }
        $this->ask('GET', 'formulas?q=%FF%FE')->assertStatus(422)->assertJsonValidationErrors('q');
    }

    public function test_numbers_are_finite_text_is_text_and_a_body_can_be_read(): void
    {
        $studio
            = '{"name":"Loft","maker":"","cup":"us","scale_grams":1,"southern":false,"time_zone":"UTC","bowl_ml":%s}';
        $this->raw('PUT', '/api/studio', sprintf($studio, '1e999'))
            ->assertStatus(422)
            ->assertJsonValidationErrors('bowl_ml');
        $this->raw('PUT', '/api/studio', sprintf($studio, '-1e999'))
            ->assertStatus(422)
            ->assertJsonValidationErrors('bowl_ml');
        $this->raw('PUT', '/api/studio', sprintf($studio, '12'))->assertOk();
        $this->raw('POST', '/api/heads', '{"name":"a\u0000b"}')->assertStatus(422)->assertJsonValidationErrors('name');
        $this->raw('POST', '/api/heads', '{"name":"Im')->assertStatus(422)->assertJsonValidationErrors('body');
        $this->raw('POST', '/api/heads', '"Imani"')->assertStatus(422)->assertJsonValidationErrors('body');
        $this->raw('POST', '/api/heads', str_repeat('[', 100).str_repeat(']', 100))
            ->assertStatus(422)
            ->assertJsonPath('errors.body.0', 'Allowed: JSON of at most 40 levels.');
        $this->raw('POST', '/api/heads', "{\"name\":\"\xff\"}")->assertStatus(422)->assertJsonValidationErrors('body');
    }

    public function test_what_is_kept_of_a_formula_is_bounded(): void
    {
        $formula = $this->read("Light oil\n80 g jojoba oil\n20 g olive oil");
        $steps = array_fill(0, 301, ['text' => 'Stir', 'act' => 'other', 'minutes' => 0, 'celsius' => 0]);
        $this->ask('POST', 'formulas', ['formula' => [...$formula, 'steps' => $steps]])
            ->assertStatus(422)
            ->assertJsonValidationErrors('formula.steps');
        $page = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => $formula,
            'hair' => ['strand' => 'fine', 'porosity' => 'low', 'junk' => [[str_repeat('x', 9000)]]],
        ]);
        self::assertSame(['strand' => 'fine', 'porosity' => 'low'], $page['hair']);
    }

    public function test_a_scale_that_shows_nothing_is_refused(): void
    {
        $studio = [
            'name' => 'Loft',
            'maker' => '',
            'cup' => 'us',
            'southern' => false,
            'bowl_ml' => 0,
            'time_zone' => 'UTC',
        ];
        $this->ask('PUT', 'studio', ['scale_grams' => 1e-9, ...$studio])
            ->assertStatus(422)
            ->assertJsonPath('errors.scale_grams.0', 'A scale shows steps of 0.001 to 100 g.');
        $this->ask('PUT', 'studio', ['scale_grams' => 0.001, ...$studio])->assertOk();
        $this->ask('POST', 'evaluate', ['formula' => $this->read('1 cup olive oil')])->assertOk();
    }

    public function test_nothing_that_the_framework_serves_by_itself_is_there(): void
    {
        foreach (['GET', 'PUT'] as $method) {
            $this->ask($method, '/storage/photos/x.jpg')->assertDontSee('signature');
        }
        self::assertNull(app('router')->getRoutes()->getByName('storage.local'));
    }

    public function test_what_is_a_makers_own_is_stored_by_nobody(): void
    {
        $this->ask('GET', 'heads')
            ->assertHeader('Cache-Control', 'no-store, private')
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        self::assertNull(
            $this->ask('GET', 'heads', headers: ['Origin' => 'https://elsewhere.example'])->headers->get(
                'Access-Control-Allow-Origin',
            ),
        );
        self::assertSame(
            'no-store, private',
            $this->ask('GET', '/papers/batches/'.$this->batch()['id'].'/label.pdf')->headers->get('Cache-Control'),
        );
    }

    private function raw(string $method, string $path, string $body): \Illuminate\Testing\TestResponse
    {
        $this->app?->forgetScopedInstances();

        return $this->actingAs($this->amara, 'web')->call(
            $method,
            $path,
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_REFERER' => url('/'),
            ],
            $body,
        );
    }
}
