<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Make\Batch;
use App\Rhythm\Routine;
use Illuminate\Testing\TestResponse;

/** How something made is used on a head: not past its day, not over a stop, not once it was called back. */
final class RhythmTest extends StudioTestCase
{
    /** @param  array<string, mixed>  $with */
    private function plan(int $head, int $batch, array $with = []): TestResponse
    {
        return $this->ask('POST', 'routines', [
            'head_id' => $head,
            'batch_id' => $batch,
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->toDateString(),
            'way' => '',
            ...$with,
        ]);
    }

    public function test_nothing_is_used_past_its_day(): void
    {
        $batch = $this->batch()['id'];
        Batch::query()->whereKey($batch)->update(['best_before' => today()->addDays(7)->toDateString()]);
        $head = $this->headOf()['id'];
        $this->plan($head, $batch, ['starts_on' => today()->addDays(5)->toDateString()])
            ->assertStatus(422)
            ->assertJsonValidationErrors('starts_on');
        $routine = (array) $this->plan($head, $batch)->assertCreated()->json();
        self::assertSame(today()->addDays(7)->toDateString(), $routine['ends_on']);
        self::assertStringContainsString('Make it again', (string) $routine['ends_words']);
        foreach ((array) $routine['days'] as $day) {
            self::assertLessThanOrEqual(today()->addDays(7)->toDateString(), $day['date']);
        }
    }

    public function test_a_stop_on_that_head_wants_a_reason_that_stays(): void
    {
        $oil = $this->formula("Mint oil\n80 g jojoba oil\n20 g olive oil\n0.4 g peppermint essential oil");
        $batch = $this->batch(formula: $oil['id'])['id'];
        $child = $this->headOf('Nia', '2-6')['id'];
        $this->plan($child, $batch)->assertStatus(422)->assertJsonValidationErrors('although');
        self::assertSame(0, Routine::query()->count());
        $grown = $this->headOf('Zola')['id'];
        self::assertSame('', $this->plan($grown, $batch)->assertCreated()->json('although'));
    }

    public function test_what_was_called_back_is_used_no_more(): void
    {
        $batch = $this->batch();
        $routine = $this->routineOf($batch['id']);
        $link = (string) $this->ask('POST', 'routines/'.$routine['id'].'/link')->assertCreated()->json('link');
        $jar = array_values(array_filter(
            $this->got('ShelfList', 'GET', 'pantry/shelf')['items'],
            static fn (array $lot): bool => $lot['batch_id'] === $batch['id'],
        ))[0];
        $this->ask('PUT', 'pantry/lots/'.$jar['id'].'/withdrawn', ['reason' => 'It smells off'])->assertOk();

        $now = $this->got('Routine', 'GET', 'routines/'.$routine['id']);
        self::assertNotSame([], $now['withdrawn']);
        self::assertSame([], array_filter($now['days'], static fn (array $day): bool => $day['state'] === 'planned'));
        $this->ask('PUT', 'routine-days/'.$routine['days'][0]['id'], ['state' => 'done'])->assertStatus(422);
        self::assertNotSame([], $this->getJson('/api/look/'.substr($link, -22))->assertOk()->json('withdrawn'));
        $today = $this->got('Today', 'GET', 'today');
        $words = array_column($today['items'], 'words');
        self::assertContains('Imani: Light oil must not be used any more.', $words);
        self::assertSame([], array_filter($words, static fn (string $w): bool => str_contains($w, 'patch')));
        self::assertTrue($this->got('BatchList', 'GET', 'batches')['items'][0]['bad']);
        $this->plan($this->headOf('Zola')['id'], $batch['id'])->assertJsonValidationErrors('batch_id');
    }

    public function test_two_heads_share_what_there_is(): void
    {
        $batch = $this->batch()['id'];
        $one = (array) $this->plan($this->headOf()['id'], $batch, ['per_week' => 4, 'grams_per_use' => 10])->json();
        // Three jars of 27 g.
        self::assertEquals(81, $one['grams_in_jar']);
        self::assertSame(8, $one['uses_in_jar']);
        $this->plan($this->headOf('Zola')['id'], $batch, ['per_week' => 4, 'grams_per_use' => 10])->assertCreated();
        $now = $this->got('Routine', 'GET', 'routines/'.$one['id']);
        self::assertSame(4, $now['uses_in_jar']);
        self::assertSame(2, $now['shared_by']);
        self::assertLessThan($one['ends_on'], $now['ends_on']);
    }

    public function test_one_new_thing_at_a_time_or_a_reason(): void
    {
        $head = $this->headOf()['id'];
        $first = $this->batch();
        $this->plan($head, $first['id'])->assertCreated();
        $other = $this->batch(formula: $this->formula("Second oil\n50 g jojoba oil\n50 g olive oil")['id']);
        $this->plan($head, $other['id'])->assertJsonValidationErrors('although');
        $late = ['starts_on' => today()->addDays(14)->toDateString()];
        $this->plan($head, $other['id'], $late)->assertCreated();
        // The same made again is nothing new.
        $this->plan($head, $this->batch(formula: $first['formula_id'])['id'])->assertCreated();
        $third = $this->batch(formula: $this->formula("Third oil\n50 g jojoba oil\n50 g olive oil")['id']);
        $why = ['although' => 'She has used it elsewhere for years.'];
        $kept = $this->plan($head, $third['id'], $why)->assertCreated();
        self::assertSame($why['although'], $kept->json('although'));
    }
}
