<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Make\BatchFinding;

/** What is found on batches moves what is said of the next ones. */
final class LearningTest extends StudioTestCase
{
    private const BUTTER = "Loft butter\n60 g shea butter\n39 g olive oil\n1 g vitamin e";

    /** @return array<string, mixed> a finished batch of whipped butter, made some days ago */
    private function butterBatch(int $daysAgo = 0): array
    {
        $formula = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => ['kind' => 'whipped-butter'] + $this->read(self::BUTTER),
            'head_id' => null,
        ]);
        $this->travel(-$daysAgo)->days();
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        $batch = $this->weighed($batch);
        $batch = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 1,
            'jar_ml' => 120,
            'net_grams' => 90,
            'note' => '',
        ]);
        $this->travelBack();

        return $batch;
    }

    /** @return array<string, mixed> */
    private static function draft(string $texture = '', string $state = '', string $on = ''): array
    {
        return [
            'on' => $on === '' ? today()->toDateString() : $on,
            'texture' => $texture,
            'state' => $state,
            'note' => '',
        ];
    }

    /** @return array<string, mixed> */
    private function judged(string $kind = 'whipped-butter'): array
    {
        return $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => ['kind' => $kind] + $this->read(self::BUTTER),
            'head_id' => null,
        ])['assessment'];
    }

    public function test_a_finding_shifts_the_next_formula_and_taking_it_back_undoes_that(): void
    {
        $batch = $this->butterBatch();
        $before = $this->judged();
        self::assertSame(['factor' => 1, 'count' => 0], $before['learned']['texture']);

        $batch = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', self::draft('softer'));
        self::assertSame('softer than said', $batch['findings'][0]['texture_label']);
        $after = $this->judged();
        self::assertEqualsWithDelta($before['solids']['25'] * 0.85 ** (1 / 3), $after['solids']['25'], 0.002);
        self::assertSame(1, $after['learned']['texture']['count']);
        self::assertSame('held by butter', $after['learned']['family']);

        $batch = $this->got('Batch', 'DELETE', 'batch-findings/'.$batch['findings'][0]['id']);
        self::assertSame([], $batch['findings']);
        self::assertSame($before['solids'], $this->judged()['solids']);
    }

    public function test_a_second_finding_is_held_against_the_handbook_not_against_the_first(): void
    {
        $before = $this->judged();
        foreach ([1, 2, 3] as $n) {
            $this->got('Batch', 'POST', 'batches/'.$this->butterBatch()['id'].'/findings', self::draft('softer'));
        }
        self::assertEqualsWithDelta($before['solids']['25'] * 0.85 ** (3 / 5), $this->judged()['solids']['25'], 0.002);
    }

    public function test_measured_air_and_early_spoiling(): void
    {
        $batch = $this->butterBatch(90);
        $before = $this->judged();
        $this->got(
            'Batch',
            'POST',
            'batches/'.$batch['id'].'/findings',
            ['overrun_percent' => 40, 'whipped_minutes' => 10] + self::draft('', 'off'),
        );
        $after = $this->judged();

        self::assertEqualsWithDelta(
            $before['whipping']['schools'][0]['overrun_percent']['best'] * 0.5 ** (1 / 3),
            $after['whipping']['schools'][0]['overrun_percent']['best'],
            0.01,
        );
        self::assertLessThan($before['life_months']['best'], $after['life_months']['best']);
        self::assertStringContainsString(
            'Your own batches kept shorter than said',
            implode(' ', $after['life_reasons']),
        );
    }

    public function test_still_good_before_its_time_teaches_nothing(): void
    {
        $batch = $this->butterBatch(60);
        $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', self::draft('', 'good'));

        self::assertSame(0, $this->judged()['learned']['life']['count']);
        self::assertEqualsWithDelta(
            2.0,
            BatchFinding::query()
                ->withoutGlobalScopes()
                ->with(['batch' => static fn ($q) => $q->withoutGlobalScopes()])
                ->firstOrFail()
                ->months(),
            0.05,
        );
    }

    public function test_a_finding_that_cannot_be_is_refused_by_field(): void
    {
        $batch = $this->butterBatch();
        $path = 'batches/'.$batch['id'].'/findings';
        $refused = fn (array $draft, string $field): string => (string) $this->ask('POST', $path, $draft)
            ->assertStatus(422)
            ->json('errors.'.$field.'.0');

        self::assertStringContainsString('something that was found', $refused(self::draft(), 'texture'));
        self::assertStringContainsString(
            'how many minutes',
            $refused(['overrun_percent' => 50] + self::draft(), 'whipped_minutes'),
        );
        self::assertStringContainsString(
            '0 to 300',
            $refused(['overrun_percent' => 900, 'whipped_minutes' => 9] + self::draft(), 'overrun_percent'),
        );
        self::assertNotSame('', $refused(['texture' => 'gooey'] + self::draft(), 'texture'));
        self::assertStringContainsString('when it was made', $refused(self::draft('softer', '', '2020-01-01'), 'on'));
        self::assertStringContainsString(
            'when it was made',
            $refused(self::draft('softer', '', today()->addDays(9)->toDateString()), 'on'),
        );
        self::assertStringContainsString('nothing can be said of how long', $refused(self::draft('', 'good'), 'state'));
        self::assertSame([], $this->got('Batch', 'GET', 'batches/'.$batch['id'])['findings']);
    }

    public function test_only_whipped_butters_take_in_air_and_only_finished_batches_are_found_on(): void
    {
        $oil = $this->batch();
        $this->ask(
            'POST',
            'batches/'.$oil['id'].'/findings',
            ['overrun_percent' => 50, 'whipped_minutes' => 9] + self::draft(),
        )
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['overrun_percent']]);
        $open = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        self::assertStringContainsString(
            'Finish making it first',
            (string) $this->ask('POST', 'batches/'.$open['id'].'/findings', self::draft('softer'))
                ->assertStatus(422)
                ->json('message'),
        );
    }

    public function test_a_note_alone_is_kept_and_teaches_nothing(): void
    {
        $batch = $this->butterBatch();
        $batch = $this->got(
            'Batch',
            'POST',
            'batches/'.$batch['id'].'/findings',
            ['note' => 'Smells of hay now.'] + self::draft(),
        );

        self::assertSame('Smells of hay now.', $batch['findings'][0]['note']);
        self::assertSame(0, $this->judged()['learned']['texture']['count']);
    }

    public function test_another_studio_learns_nothing_from_it(): void
    {
        $this->got('Batch', 'POST', 'batches/'.$this->butterBatch()['id'].'/findings', self::draft('much-softer'));
        $theirs = $this->got(
            'Evaluation',
            'POST',
            'evaluate',
            ['formula' => ['kind' => 'whipped-butter'] + $this->read(self::BUTTER), 'head_id' => null],
            $this->stranger,
        );

        self::assertSame(0, $theirs['assessment']['learned']['texture']['count']);
    }

    public function test_the_record_of_the_batch_itself_does_not_change(): void
    {
        $batch = $this->butterBatch();
        $found = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', self::draft('much-firmer'));

        self::assertSame($batch['actual'], $found['actual']);
        self::assertSame($batch['label'], $found['label']);
        self::assertSame($batch['revision'], $found['revision']);
    }
}
