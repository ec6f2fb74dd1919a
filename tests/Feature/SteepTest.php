<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pantry\Picture;
use App\Pantry\PictureFiles;
use Symfony\Component\Process\Process;

final class SteepTest extends StudioTestCase
{
    /**
     * @param  array<string, mixed>  $steep
     * @param  array<string, mixed>  $event
     * @return array<string, mixed>
     */
    private function record(array $steep, int $ago, array $event): array
    {
        return $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/events', [
            'on' => today()->subDays($ago)->toDateString(),
            'note' => '',
            ...$event,
        ]);
    }

    private function begun(
        int $ago,
        string $plant = 'rosemary',
        string $form = 'dried',
        string $method = 'cold-dark',
    ): array {
        return $this->steep($plant, $form, today()->subDays($ago)->toDateString(), $method);
    }

    public function test_a_plan_takes_amounts_as_they_are_written(): void
    {
        $plan = $this->got(
            'SteepPlanned',
            'POST',
            'steeps/plan',
            self::steepDraft(
                over: [
                    'herbs' => [
                        [
                            'ingredient' => 'saw-palmetto',
                            'form' => 'powder',
                            'preparation' => 'bagged',
                            'amount' => '40 capsules of 500 mg',
                            'draw' => 1,
                            'cost' => null,
                        ],
                        [
                            'ingredient' => 'rosemary',
                            'form' => 'dried',
                            'preparation' => 'none',
                            'amount' => '20 g',
                            'draw' => 1,
                            'cost' => null,
                        ],
                    ],
                    'oils' => [
                        ['ingredient' => 'olive-oil', 'amount' => '212 - 180 g', 'cost' => null],
                        ['ingredient' => 'jojoba-oil', 'amount' => 'to cover', 'cost' => null],
                    ],
                ],
            ),
        );
        self::assertEqualsWithDelta([20.0, 20.0], $plan['herb_grams'], 1e-6);
        self::assertEqualsWithDelta(32.0, $plan['oil_grams'][0], 1e-6);
        self::assertGreaterThan(50.0, $plan['oil_grams'][1]);
        self::assertGreaterThanOrEqual(2.4, $plan['plan']['oil_above_plant_cm']['best'], 'covered');
        self::assertCount(7, $plan['methods']['rows']);
        self::assertSame('cold-dark', $plan['methods']['recommended']);
    }

    public function test_backwards_from_the_day_it_is_wanted(): void
    {
        $this->travelTo('2027-03-01');
        $draft = self::steepDraft();
        $late = $this->got('SteepPlanned', 'POST', 'steeps/plan', [...$draft, 'wanted' => '2027-03-20']);
        self::assertFalse($late['timing']['fits']);
        self::assertStringContainsString('To be in time', $late['timing']['message']);
        self::assertSame('water-bath', $late['methods']['recommended']);
        // Over the change of clocks: 29 days before 8 April is 10 March.
        $fits = $this->got('SteepPlanned', 'POST', 'steeps/plan', [...$draft, 'wanted' => '2027-04-08']);
        self::assertSame('2027-03-10', $fits['timing']['latest_start']);
    }

    public function test_what_happens_to_a_running_jar_is_recorded_and_worked_out_anew(): void
    {
        $steep = $this->begun(14);
        $before = $steep['drawn_now_percent']['best'];
        $later = $this->record($steep, 7, [
            'kind' => 'herb',
            'ingredient' => 'nettle',
            'form' => 'dried',
            'preparation' => 'none',
            'amount' => '40 g',
        ]);
        self::assertCount(2, $later['herbs']);
        self::assertSame(today()->subDays(7)->toDateString(), $later['herbs'][1]['since']);
        self::assertLessThan($before, $later['drawn_now_percent']['best'], 'what came later has drawn less');
        $age = $later['plan']['age_spent_days']['best'];
        $sunny = $this->record($steep, 3, ['kind' => 'moved', 'method' => 'sunny-sill']);
        self::assertGreaterThan($age, $sunny['plan']['age_spent_days']['best'], 'sun costs life');
        self::assertContains('steep.light', array_column($sunny['plan']['findings'], 'code'));
        $drawn = $this->record($steep, 1, ['kind' => 'drawn', 'grams' => 40]);
        self::assertEqualsWithDelta(320.0, $drawn['oil_left_grams'], 1e-6);
        self::assertTrue($drawn['lots'][0]['drawn']);
        self::assertContains(
            $drawn['lots'][0]['ingredient'],
            array_column($this->got('IngredientList', 'GET', 'ingredients?kind=ready-steep')['items'], 'id'),
        );
        $this->ask('POST', 'steeps/'.$steep['id'].'/events', [
            'kind' => 'drawn',
            'on' => today()->toDateString(),
            'note' => '',
            'grams' => 9999,
        ])->assertStatus(422);

        $events = $this->got('Steep', 'GET', 'steeps/'.$steep['id'])['events'];
        self::assertSame(['herb', 'moved', 'drawn'], array_column($events, 'kind'));
        $back = $this->got('Steep', 'DELETE', 'steep-events/'.$events[2]['id']);
        self::assertSame([], $back['lots'], 'taken back with the oil that was drawn');
        self::assertEqualsWithDelta(360.0, $back['oil_left_grams'], 1e-6);
    }

    public function test_events_that_cannot_be_are_refused_by_field(): void
    {
        $steep = $this->begun(5);
        $wrong = [
            'on' => ['kind' => 'note', 'on' => today()->addDays(2)->toDateString()],
            'kind' => ['kind' => 'exploded'],
            'grams' => ['kind' => 'weighed'],
            'after' => ['kind' => 'bowl', 'before' => 100, 'after' => 120],
            'method' => ['kind' => 'moved', 'method' => 'moon'],
            'ingredient' => [
                'kind' => 'herb',
                'ingredient' => 'unicorn',
                'form' => 'dried',
                'preparation' => 'none',
                'amount' => '5 g',
            ],
            'amount' => ['kind' => 'oil', 'ingredient' => 'olive-oil', 'amount' => 'some'],
        ];
        foreach ($wrong as $field => $event) {
            $answer = $this->ask('POST', 'steeps/'.$steep['id'].'/events', [
                'on' => today()->toDateString(),
                'note' => '',
                ...$event,
            ])->assertStatus(422);
            self::assertArrayHasKey($field, $answer->json('errors'), (string) $answer->getContent());
        }
        self::assertSame([], $this->got('Steep', 'GET', 'steeps/'.$steep['id'])['events']);
    }

    public function test_the_weighing_test_and_what_is_done_about_water(): void
    {
        $steep = $this->begun(0, 'rosemary', 'fresh', 'water-bath');
        self::assertFalse($steep['dry']);
        self::assertContains('water', array_column($steep['strain_steps'], 'id'));
        $part = $this->record($steep, 0, ['kind' => 'bowl', 'before' => 600, 'after' => 595]);
        self::assertEqualsWithDelta(9.52 - 5, $part['water_left_grams']['best'], 0.01);
        $less = $this->record($steep, 0, ['kind' => 'bowl', 'before' => 595, 'after' => 590.4]);
        self::assertFalse($less['dry'], 'at worst 40 g x 0.72 x 0.8 came in');
        $this->ask('POST', 'steeps/'.$steep['id'].'/events', [
            'kind' => 'bowl',
            'on' => today()->toDateString(),
            'note' => '',
            'before' => 590.4,
            'after' => 540,
        ])
            ->assertStatus(422)
            ->assertJsonValidationErrors('after');
        $dry = $this->record($steep, 0, ['kind' => 'bowl', 'before' => 590.4, 'after' => 590.4]);
        self::assertTrue($dry['dry'], 'weighed again, and nothing more is lost');

        $wet = $this->begun(0, 'rosemary', 'fresh', 'water-bath');
        $lot = $this->got('Steep', 'POST', 'steeps/'.$wet['id'].'/strain', [
            'revision' => $wet['revision'],
            'yield_grams' => 330,
            'loss_grams' => 0,
            'choice' => 'frozen-poured',
        ])['lot'];
        self::assertEqualsWithDelta(1.0, $lot['water_percent'], 1e-6, 'traces at best: it was not shown dry');
    }

    public function test_straining_gives_a_lot_with_parents_label_and_a_figure_to_learn_from(): void
    {
        foreach ([300.0, 310.0] as $yield) {
            $steep = $this->begun(28);
            $done = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
                'revision' => $steep['revision'],
                'yield_grams' => $yield,
                'loss_grams' => 0,
                'herb' => 'kept',
            ]);
        }
        self::assertEqualsWithDelta(1.25, $done['measured']['kept_per_gram'], 1e-6);
        $plan = $this->got('SteepPlanned', 'POST', 'steeps/plan', self::steepDraft());
        self::assertEqualsWithDelta(
            (1.5 + 1.25) / 2,
            $plan['learned']['best'],
            1e-6,
            'two past steeps replace the default',
        );
        self::assertEqualsWithDelta(360 - 40 * 1.375, $plan['plan']['yield_grams']['best'], 1e-6);

        $pdf = (string) $this->ask('GET', '/papers/lots/'.$done['lot']['id'].'/label.pdf')
            ->assertOk()
            ->getContent();
        $text = (string) preg_replace(
            '/\s+/',
            ' ',
            (new Process(['pdftotext', '-layout', '-', '-'], null, null, $pdf))->mustRun()->getOutput(),
        );
        foreach (
            [
                'Rosemary leaf in olive oil',
                'Olea Europaea Fruit Oil',
                $done['lot']['code'],
                $done['lot']['best_before'],
                '310 g',
            ] as $words
        ) {
            self::assertStringContainsString($words, $text);
        }
        $second = $this->got(
            'Steep',
            'POST',
            'steeps',
            self::steepDraft(over: ['herbs' => [['draw' => 2] + self::steepDraft()['herbs'][0]]]),
        );
        self::assertContains('steep.reuse', array_column($second['plan']['findings'], 'code'));
        self::assertLessThan(51.0, $second['plan']['extraction_percent']['best']);
    }

    public function test_mould_warns_every_formula_batch_and_steep_that_used_the_oil(): void
    {
        $steep = $this->begun(28);
        $done = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => 300,
            'loss_grams' => 0,
        ]);
        $oil = $done['lot']['ingredient'];
        $formula = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => ['title' => 'Uses it', 'lines' => [['ingredient' => $oil, 'amount' => '100 g']]],
            'head_id' => null,
        ]);
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']]);
        self::assertSame([], $batch['withdrawn']);
        $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => $batch['weighings'][0]['line'],
            'gathered' => true,
            'grams' => 100,
        ]);
        $batch = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 1,
            'jar_ml' => 110,
            'net_grams' => 95,
            'note' => '',
        ]);
        $label = fn () => $this->ask('GET', '/papers/batches/'.$batch['id'].'/label.pdf');
        $label()->assertOk();
        $in = $this->got(
            'Steep',
            'POST',
            'steeps',
            self::steepDraft(
                'calendula',
                over: ['oils' => [['ingredient' => $oil, 'amount' => '360 g', 'cost' => null]]],
            ),
        );

        $answer = $this->got('LotWithdrawn', 'PUT', 'lots/'.$done['lot']['id'].'/withdrawn', [
            'reason' => 'Mould at the rim',
        ]);
        self::assertSame(['formula', 'batch'], array_column($answer['warned'], 'kind'));
        self::assertStringContainsString(
            'Mould at the rim',
            $this->got('Batch', 'GET', 'batches/'.$batch['id'])['withdrawn'][0],
        );
        self::assertContains(
            'lot.withdrawn',
            array_column(
                $this->got('FormulaPage', 'GET', 'formulas/'.$formula['id'])['assessment']['findings'],
                'code',
            ),
        );
        self::assertContains(
            'steep.withdrawn',
            array_column($this->got('Steep', 'GET', 'steeps/'.$in['id'])['plan']['findings'], 'code'),
        );
        $this->ask('GET', '/papers/lots/'.$done['lot']['id'].'/label.pdf')->assertStatus(409);
        $label()->assertStatus(409);

        $this->got('LotWithdrawn', 'PUT', 'lots/'.$done['lot']['id'].'/withdrawn', ['reason' => '']);
        self::assertSame(
            [],
            $this->got('Batch', 'GET', 'batches/'.$batch['id'])['withdrawn'],
            'a mistake can be taken back',
        );
        $label()->assertOk();
    }

    public function test_a_spoiled_jar_withdraws_what_was_drawn_from_it(): void
    {
        $steep = $this->begun(10);
        $drawn = $this->record($steep, 2, ['kind' => 'drawn', 'grams' => 30]);
        $this->ask('POST', 'steeps/'.$steep['id'].'/spoil', [
            'revision' => $drawn['revision'],
            'reason' => '',
        ])->assertStatus(422);
        $gone = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/spoil', [
            'revision' => $drawn['revision'],
            'reason' => 'Fizzing',
        ]);
        self::assertSame('spoiled', $gone['state']);
        self::assertStringContainsString('Fizzing', $gone['lots'][0]['withdrawn']);
        $this->ask('POST', 'steeps/'.$steep['id'].'/events', [
            'kind' => 'weighed',
            'on' => today()->toDateString(),
            'note' => '',
            'grams' => 5,
        ])->assertStatus(409);
        $this->ask('PUT', 'steeps/'.$steep['id'].'/shakes', [
            'date' => today()->toDateString(),
            'done' => true,
        ])->assertStatus(409);
    }

    public function test_today_says_shake_settle_strain_and_ready_each_with_one_tick(): void
    {
        $kinds = fn (): array => array_column($this->got('Today', 'GET', 'today')['items'], 'kind');
        $steep = $this->begun(0);
        self::assertSame(['shake'], $kinds());
        $this->travelTo(today()->addDays(26));
        self::assertSame(['stop-shaking'], $kinds());
        $item = $this->got('Today', 'GET', 'today')['items'][0];
        self::assertSame(['does' => 'settling', 'id' => $steep['id']], $item['tick']);
        $this->tick($steep['id'], 'settling');
        self::assertSame([], $kinds());
        $this->travelTo(today()->addDays(4));
        $late = $this->got('Today', 'GET', 'today')['items'][0];
        self::assertSame('strain', $late['kind']);
        self::assertTrue($late['overdue']);
        self::assertStringContainsString('2 days late', $late['words']);
        $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', [
            'revision' => $this->got('Steep', 'GET', 'steeps/'.$steep['id'])['revision'],
            'yield_grams' => 300,
            'loss_grams' => 0,
        ]);
        self::assertSame([], $kinds(), 'clearing until tomorrow');
        $this->travelTo(today()->addDays(1));
        self::assertSame(['ready'], $kinds());
        $item = $this->got('Today', 'GET', 'today')['items'][0];
        self::assertSame(['does' => 'ready', 'id' => $steep['id']], $item['tick']);
        $this->tick($steep['id'], 'ready');
        self::assertSame([], $kinds());
    }

    public function test_a_forgotten_jar_shows_what_it_stands_at_today(): void
    {
        $steep = $this->begun(0);
        $this->travelTo(today()->addDays(70));
        $late = $this->got('Steep', 'GET', "steeps/{$steep['id']}");

        self::assertSame([70, 28], [$late['day'], $late['days']]);
        self::assertEqualsWithDelta(70.0, $late['plan']['age_spent_days']['best'], 0.5);
        self::assertEqualsWithDelta(28.0, $steep['plan']['age_spent_days']['best'], 0.5);
        self::assertSame($steep['plan']['dates']['strain'], $late['plan']['dates']['strain'], 'as it was planned');
        self::assertLessThan($steep['plan']['dates']['best_before'], $late['plan']['dates']['best_before']);
        self::assertGreaterThan(
            $steep['plan']['extraction_percent']['best'],
            $late['drawn_now_percent']['best'],
            'it went on drawing',
        );
    }

    private function tick(int $steep, string $kind): void
    {
        $this->got('Steep', 'POST', 'steeps/'.$steep.'/events', [
            'kind' => $kind,
            'on' => today()->toDateString(),
            'note' => '',
        ]);
    }

    public function test_pictures_are_checked_by_content_and_made_small(): void
    {
        $steep = $this->begun(3);
        $answer = $this->asPicture($steep['id'], self::picture(3000, 1500))->assertCreated();
        $photo = Picture::query()->withoutGlobalScopes()->findOrFail($answer->json('photos.0.id'));
        self::assertSame([1280, 640], [$photo->width, $photo->height]);
        self::assertSame(
            'image/jpeg',
            $this->ask('GET', '/photos/'.$photo->id)
                ->assertOk()
                ->headers->get('Content-Type'),
        );
        $path = app(PictureFiles::class)->path($photo->file);
        self::assertFileExists($path);
        $this->asPicture($steep['id'], '<?php echo "not a picture";')
            ->assertStatus(422)
            ->assertJsonValidationErrors('photo');
        $this->asPicture($steep['id'], '')->assertStatus(422);
        $this->asPicture($steep['id'], self::picture(), $this->stranger)->assertNotFound();
        $this->ask('DELETE', 'steep-photos/'.$photo->id)->assertOk();
        self::assertFileDoesNotExist($path);
    }
}
