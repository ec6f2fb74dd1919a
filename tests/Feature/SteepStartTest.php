<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;

/** Nothing begins to stand under a stop without a reason that stays, by whichever door it comes. */
final class SteepStartTest extends StudioTestCase
{
    private const WHY = 'To see for ourselves what comes of it.';

    private const PASTED = "Rosemary oil\n200 g olive oil\n60 g fresh rosemary\n"
        .'Steep the rosemary in the oil in a dark cupboard for 4 weeks, then strain.';

    /** @param  array<string, mixed>  $over */
    private function start(array $over): TestResponse
    {
        return $this->ask('POST', 'steeps', [...self::steepDraft(), ...$over]);
    }

    public function test_a_fresh_plant_under_oil_for_weeks_wants_a_reason(): void
    {
        $fresh = ['herbs' => self::steepDraft('rosemary', 'fresh')['herbs']];
        $this->start($fresh)->assertStatus(422)->assertJsonValidationErrors('although');
        self::assertSame([], $this->got('SteepList', 'GET', 'steeps')['items']);
        $begun = $this->start([...$fresh, 'although' => self::WHY])->assertCreated();
        self::assertSame(self::WHY, $begun->json('although'));
        $this->start([])->assertCreated();
    }

    public function test_a_pasted_recipe_begins_no_sooner(): void
    {
        $this->ask('POST', 'read/steep', ['text' => self::PASTED])->assertJsonValidationErrors('although');
        $this->ask('POST', 'read/steep', ['text' => self::PASTED, 'although' => self::WHY])->assertCreated();
    }

    public function test_no_reason_outweighs_a_spoiled_or_a_wet_oil(): void
    {
        $fresh = ['herbs' => self::steepDraft('rosemary', 'fresh')['herbs'], 'although' => self::WHY];
        $wet = (array) $this->start($fresh)->json();
        $drawn = (array) $this->ask('POST', 'steeps/'.$wet['id'].'/events', [
            'kind' => 'drawn',
            'on' => today()->toDateString(),
            'note' => '',
            'grams' => 100,
        ])->assertCreated()->json();
        $oil = $drawn['lots'][0]['ingredient'];
        $again = ['oils' => [['ingredient' => $oil, 'amount' => '80 g', 'cost' => null]], 'although' => self::WHY];
        $said = (string) $this->start($again)->assertStatus(422)->json('errors.although.0');
        self::assertStringContainsString('No reason outweighs this.', $said);

        $this->ask('POST', 'steeps/'.$wet['id'].'/spoil', ['revision' => $drawn['revision'], 'reason' => 'Fizzing'])
            ->assertOk();
        $said = (string) $this->start($again)->assertStatus(422)->json('errors.although.0');
        self::assertStringContainsString('Fizzing', $said);
    }

    public function test_what_is_added_to_a_standing_jar_is_asked_about_too(): void
    {
        $jar = (array) $this->start([])->json();
        $add = [
            'kind' => 'herb',
            'on' => today()->toDateString(),
            'ingredient' => 'aloe-vera',
            'form' => 'fresh',
            'preparation' => 'chopped',
            'amount' => '60 g',
        ];
        $path = 'steeps/'.$jar['id'].'/events';
        $this->ask('POST', $path, [...$add, 'ingredient' => 'rosemary', 'note' => ''])
            ->assertStatus(422)
            ->assertJsonValidationErrors('note');
        $this->ask('POST', $path, [...$add, 'ingredient' => 'rosemary', 'note' => self::WHY])->assertCreated();
    }
}
