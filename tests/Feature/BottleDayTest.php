<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pantry\Lot;

/** The day of a bottle follows what is in it: bench, counter, label and steep say the same of one jar. */
final class BottleDayTest extends StudioTestCase
{
    private const RECIPE = "Light oil\n80 g jojoba oil\n20 g olive oil\n1 g vitamin e";

    /** @param  array<string, mixed>  $more */
    private function bottle(string $ingredient, array $more = []): int
    {
        $kept = $this->got('ShelfList', 'POST', 'pantry/lots', [
            'lots' => [['ingredient' => $ingredient, 'grams' => 900, ...$more]],
        ]);

        return $kept['items'][0]['id'];
    }

    /** @return array<string, mixed> $defs/Evaluation */
    private function bench(): array
    {
        $asked = ['formula' => $this->read(self::RECIPE), 'head_id' => null];

        return $this->got('Evaluation', 'POST', 'evaluate', $asked);
    }

    /** @return list<string> */
    private static function codes(mixed $findings): array
    {
        return array_column((array) $findings, 'code');
    }

    public function test_bench_and_label_give_the_same_day(): void
    {
        $day = today()->addDays(33)->toDateString();
        $this->bottle('olive-oil', ['printed_on' => $day]);
        self::assertSame($day, $this->bench()['keeps']['best_before']);
        $done = $this->batch(formula: $this->formula(self::RECIPE)['id']);
        self::assertSame($day, $done['label']['best_before']);
        self::assertStringContainsStringIgnoringCase('olive', $done['label']['kept_by']);
    }

    public function test_a_bottle_past_its_day_stops_the_bench_until_another_stands_there(): void
    {
        $past = $this->bottle('olive-oil', ['printed_on' => today()->subDays(9)->toDateString()]);
        $said = $this->bench();
        self::assertContains('lot.past', self::codes($said['assessment']['findings']));
        $formula = $this->formula(self::RECIPE);
        $this->ask('POST', 'batches', ['formula_id' => $formula['id']])->assertJsonValidationErrors('although');
        $why = ['formula_id' => $formula['id'], 'although' => 'It smells fresh'];
        $open = $this->got('Batch', 'POST', 'batches', $why);
        $line = array_column($open['weighings'], null, 'ingredient')['olive-oil'];
        self::assertTrue($line['bottles'][0]['past']);

        $good = $this->bottle('olive-oil', ['printed_on' => today()->addDays(200)->toDateString()]);
        self::assertNotContains('lot.past', self::codes($this->bench()['assessment']['findings']));
        $now = $this->got('Batch', 'GET', 'batches/'.$open['id']);
        $line = array_column($now['weighings'], null, 'ingredient')['olive-oil'];
        self::assertSame([$good], array_column($line['bottles'], 'lot'));
        self::assertSame([$past], array_column($line['other_bottles'], 'lot'));
    }

    public function test_what_was_truly_taken_out_of_a_bottle_past_its_day_wants_a_reason_at_the_end(): void
    {
        $this->bottle('olive-oil', ['printed_on' => today()->addDays(200)->toDateString()]);
        $past = $this->bottle('olive-oil', ['printed_on' => today()->subDays(9)->toDateString()]);
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula(self::RECIPE)['id']]);
        $line = array_column($batch['weighings'], null, 'ingredient')['olive-oil'];
        $batch = $this->weighed($batch);
        $batch = (array) $this->ask('PUT', 'batches/'.$batch['id'].'/weighings', [
            'line' => $line['line'],
            'gathered' => true,
            'grams' => $line['target_grams'],
            'revision' => $batch['revision'],
            'lot' => $past,
        ])->assertOk()->json();
        $end = ['revision' => $batch['revision'], 'jars' => 3, 'jar_ml' => 30, 'net_grams' => 27, 'note' => ''];
        $finish = 'batches/'.$batch['id'].'/finish';
        $this->ask('POST', $finish, $end)->assertStatus(422)->assertJsonValidationErrors('although');
        // Nothing of it was kept.
        self::assertEqualsWithDelta(900.0, Lot::query()->findOrFail($past)->left_grams, 1e-6);
        $done = $this->got('Batch', 'POST', $finish, [...$end, 'although' => 'For ourselves, this week']);
        self::assertSame(today()->toDateString(), $done['label']['best_before']);
    }

    public function test_a_batch_made_last_week_has_the_lot_code_of_that_day(): void
    {
        $begun = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $batch = $this->weighed($begun);
        $day = today()->subDays(7);
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
            'made_on' => $day->toDateString(),
        ]);
        self::assertStringStartsWith($day->format('ymd'), $done['lot_code']);
        self::assertSame($done['lot_code'], $done['label']['lot']);
    }

    public function test_a_steep_ends_with_the_bottle_it_was_filled_from_and_not_with_the_next(): void
    {
        $day = today()->addDays(60)->toDateString();
        $this->bottle('olive-oil', ['printed_on' => $day]);
        $planned = $this->got('SteepPlanned', 'POST', 'steeps/plan', self::steepDraft());
        self::assertSame($day, $planned['plan']['dates']['best_before']);
        $steep = $this->steep();
        Lot::query()->where('ingredient', 'olive-oil')->update(['emptied_on' => today()->toDateString()]);
        $this->bottle('olive-oil', ['printed_on' => today()->addDays(900)->toDateString()]);
        $now = $this->got('Steep', 'GET', 'steeps/'.$steep['id']);
        self::assertSame($day, $now['plan']['dates']['best_before']);
    }
}
