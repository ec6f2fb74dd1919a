<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

final class FormulaTest extends StudioTestCase
{
    public function test_a_pasted_recipe_becomes_a_formula_with_versions(): void
    {
        $page = $this->formula();
        self::assertSame('Light oil', $page['formula']['title']);
        $this->got('FormulaPage', 'POST', 'formulas/'.$page['id'].'/versions', ['note' => 'first']);
        $formula = $page['formula'];
        $formula['lines'][0]['amount'] = '60 g';
        $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $formula,
            'head_id' => null,
        ]);
        $kept = $this->got('FormulaPage', 'POST', 'formulas/'.$page['id'].'/versions', ['note' => '']);

        self::assertSame([2, 1], array_column($kept['versions'], 'number'));
        self::assertSame(
            '80 g',
            $kept['versions'][1]['formula']['lines'][0]['amount'],
            'a kept version does not change',
        );
        self::assertSame([$formula['lines'][0]['name'].' 60 g instead of 80 g.'], $kept['versions'][0]['changes']);
        self::assertSame([], $kept['versions'][1]['changes']);
    }

    public function test_an_accepted_finding_is_kept_with_its_reason_and_no_longer_counts(): void
    {
        $page = $this->formula();
        $formula = $page['formula'];
        $formula['lines'][0]['amount'] = '5 g';
        $formula['lines'][] = [
            'id' => 'x',
            'ingredient' => 'lavender-eo',
            'name' => 'Lavender',
            'amount' => '10 g',
            'form' => '',
            'phase' => 'cool-down',
            'locked' => false,
        ];
        $save = fn (array $formula, int $revision): array => $this->got(
            'FormulaPage',
            'PUT',
            'formulas/'.$page['id'],
            ['revision' => $revision, 'formula' => $formula, 'head_id' => null],
        );
        $found = $save($formula, $page['revision']);
        $stops = array_values(
            array_filter($found['assessment']['findings'], static fn (array $f): bool => $f['severity'] === 'stop'),
        );
        self::assertNotSame([], $stops);
        $formula['accepted'] = array_map(
            static fn (array $f): array => [
                'finding' => $f['key'],
                'reason' => 'A trial, thrown away after.',
            ],
            $stops,
        );
        $decided = $save($formula, $found['revision']);

        self::assertSame(
            'A trial, thrown away after.',
            $decided['assessment']['findings'][count($decided['assessment']['findings']) - 1]['accepted'],
        );
        self::assertSame(0, $this->got('FormulaList', 'GET', 'formulas')['items'][0]['stops']);
        self::assertStringContainsString(
            '(accepted: A trial, thrown away after.)',
            $this->got('PlainText', 'GET', 'formulas/'.$page['id'].'/text')['text'],
        );
        $formula['accepted'][0]['reason'] = ' ';
        $this->ask('PUT', 'formulas/'.$page['id'], [
            'revision' => $decided['revision'],
            'formula' => $formula,
            'head_id' => null,
        ])->assertStatus(422);
    }

    public function test_the_room_for_strong_oils_is_that_of_the_head_it_is_for(): void
    {
        $draft = [
            'formula' => $this->read("Oil\n91.4 g olive oil\n50 drops rosemary essential oil"),
            'head_id' => null,
        ];
        self::assertSame(
            [40, 'all scents together are over'],
            array_values(
                array_intersect_key($this->got('LoadPlan', 'POST', 'load', $draft)['oils'][0], [
                    'most_drops' => 1,
                    'held_by' => 1,
                ]),
            ),
        );

        $child = $this->got('LoadPlan', 'POST', 'load', [...$draft, 'head_id' => $this->headOf(age: '2-6')['id']]);
        self::assertSame(
            ['Child of 2 to 6', 0, 'not for children under 10'],
            [$child['audience'], $child['oils'][0]['most_drops'], $child['oils'][0]['held_by']],
        );
        $this->ask('POST', 'load', ['formula' => 'none'])->assertStatus(422);
    }

    public function test_the_water_of_a_draft(): void
    {
        $plan = $this->got('WaterPlan', 'POST', 'water', [
            'formula' => $this->read("Oil\n90 g olive oil\n10 g aloe vera gel"),
            'head_id' => null,
        ]);

        self::assertSame('D', $plan['class']);
        self::assertCount(1, $plan['bearers']);
        self::assertSame([false], array_values(array_unique(array_column($plan['choices'], 'fits'))));
    }

    public function test_kitchen_measures_and_a_strip(): void
    {
        $formula = $this->read("Oil\n43 g olive oil\n20 g castor oil");
        $answer = $this->got('WithoutScale', 'POST', 'without-scale', [
            'formula' => $formula,
            'head_id' => null,
            'bottle_mm' => 38,
        ]);

        self::assertStringContainsString('tbsp', $answer['rows'][0]['measure']);
        self::assertEqualsWithDelta(43 / 28.3495, $answer['rows'][0]['ounces'], 0.001);
        self::assertEqualsWithDelta(100.0, array_sum(array_column($answer['rows'], 'percent_then')), 0.001);
        self::assertGreaterThan($answer['strip'][0]['to_mm'], $answer['strip'][1]['to_mm']);
        self::assertSame($answer['rows'][0]['measure'], $answer['formula']['lines'][0]['amount']);
        $narrow = $this->got('WithoutScale', 'POST', 'without-scale', [
            'formula' => $formula,
            'head_id' => null,
            'bottle_mm' => 2,
        ]);
        self::assertStringContainsString('10 to 300 mm', $narrow['strip_problem']);
        self::assertSame([], $narrow['strip']);
    }

    public function test_what_is_typed_is_kept_to_the_letter(): void
    {
        $page = $this->formula();
        $formula = $page['formula'];
        $formula['lines'][0]['amount'] = '2 tb ';
        $formula['lines'][1]['amount'] = '';
        $saved = $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $formula,
            'head_id' => null,
        ]);

        self::assertSame(['2 tb ', ''], array_slice(array_column($saved['formula']['lines'], 'amount'), 0, 2));
        self::assertSame('No amount is given yet.', $saved['assessment']['lines'][1]['problem']);
    }

    public function test_two_people_never_overwrite_each_other_in_silence(): void
    {
        $page = $this->formula();
        $first = ['title' => 'Hers'] + $page['formula'];
        $second = ['title' => 'His'] + $page['formula'];
        $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $first,
            'head_id' => null,
        ]);
        $late = $this->ask('PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $second,
            'head_id' => null,
        ])->assertStatus(409);

        self::assertSame('Hers', $late->json('current.formula.title'));
        self::assertSame('Hers', $this->got('FormulaPage', 'GET', 'formulas/'.$page['id'])['formula']['title']);
    }

    public function test_a_post_sent_twice_is_done_once(): void
    {
        $body = ['formula' => $this->read('100 g olive oil'), 'head_id' => null];
        $key = ['Idempotency-Key' => 'abcdef-12345678'];
        $first = $this->ask('POST', 'formulas', $body, headers: $key)->assertCreated();
        $again = $this->ask('POST', 'formulas', $body, headers: $key)
            ->assertCreated()
            ->assertHeader('Idempotent-Replay', 'true');

        self::assertSame($first->json('id'), $again->json('id'));
        self::assertCount(1, $this->got('FormulaList', 'GET', 'formulas')['items']);
        $this->ask('POST', 'heads', $body, headers: $key)->assertStatus(409);
        $this->ask('POST', 'formulas', ['formula' => 3], headers: ['Idempotency-Key' => 'abcdef-9999'])->assertStatus(
            422,
        );
        $this->ask('POST', 'formulas', $body, headers: ['Idempotency-Key' => 'abcdef-9999'])->assertCreated();
    }

    public function test_cures_are_applied_by_the_core_and_judged(): void
    {
        $formula = $this->read("Oil\n90 g olive oil\n90 drops rosemary essential oil");
        $judged = $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => null]);
        $finding = array_values(
            array_filter($judged['assessment']['findings'], static fn (array $f): bool => $f['code'] === 'load.total'),
        )[0];
        $cured = $this->got('ChangedDraft', 'POST', 'cure', [
            'formula' => $formula,
            'head_id' => null,
            'change' => $finding['cures'][0]['change'],
        ]);

        self::assertNotContains('load.total', array_column($cured['assessment']['findings'], 'code'));
        $this->ask('POST', 'cure', [
            'formula' => $formula,
            'head_id' => null,
            'change' => ['op' => 'explode'],
        ])->assertStatus(422);
        $this->ask('POST', 'cure', [
            'formula' => $formula,
            'head_id' => null,
            'change' => ['op' => 'set-amounts', 'lines' => ['nowhere' => '1 g']],
        ])->assertStatus(422);
    }

    public function test_a_head_judges_too(): void
    {
        $child = $this->headOf('Tuma', '2-6');
        $page = $this->formula("Oil\n90 g sesame oil\n20 drops peppermint oil", $child['id']);
        $codes = array_column($page['assessment']['findings'], 'code');

        self::assertSame([], array_diff(['head.allergy', 'child.avoid', 'load.total'], $codes));
        $this->ask('DELETE', 'heads/'.$child['id'])->assertNoContent();
        self::assertNull($this->got('FormulaPage', 'GET', 'formulas/'.$page['id'])['head_id']);
    }

    public function test_the_list_finds_by_title_and_ingredient(): void
    {
        $this->formula("Cloud\n100 g shea butter");
        $this->formula("100 % \"odd\" oil_\n100 g olive oil");
        $titles = fn (string $q): array => array_column(
            $this->got('FormulaList', 'GET', 'formulas?q='.urlencode($q))['items'],
            'title',
        );

        self::assertSame(['Cloud'], $titles('shea'));
        self::assertSame(['Cloud'], $titles('clo'));
        self::assertSame([], $titles('%'.'zz'));
        self::assertCount(2, $titles(''));
    }

    public function test_long_lists_are_paged_by_cursor(): void
    {
        for ($n = 0; $n < 55; $n++) {
            $this->ask('POST', 'formulas', ['formula' => ['title' => 'F'.$n], 'head_id' => null])->assertCreated();
        }
        $first = $this->got('FormulaList', 'GET', 'formulas');
        $second = $this->got('FormulaList', 'GET', 'formulas?cursor='.$first['next']);

        self::assertCount(50, $first['items']);
        self::assertCount(5, $second['items']);
        self::assertSame(
            [],
            array_intersect(array_column($first['items'], 'id'), array_column($second['items'], 'id')),
        );
    }

    public function test_what_was_put_away_comes_back(): void
    {
        $page = $this->formula();
        $this->ask('DELETE', 'formulas/'.$page['id'])->assertNoContent();
        $this->ask('GET', 'formulas/'.$page['id'])->assertNotFound();
        self::assertSame(
            $page['formula'],
            $this->got('FormulaPage', 'POST', 'formulas/'.$page['id'].'/restore')['formula'],
        );
    }

    /** @return iterable<string, array{string}> */
    public static function hostileTexts(): iterable
    {
        yield 'emoji' => ["🧴✨\n2 tbsp 🥥 oil\n💧💧💧"];
        yield 'right to left' => ["زيت الشعر\n٢ ملعقة زيت الخروع\n2 tbsp زيت castor oil"];
        yield 'markup' => ["<script>alert(1)</script>\n2 tbsp <img src=x onerror=alert(1)>\n& &lt; ' \""];
        yield 'negative and enormous' => [
            "Oil\n-3 g olive oil\n99999999999999999999999 g shea butter\n1e400 g castor\n0 drops tea tree",
        ];
        yield 'only water' => ["Water\n100 g water"];
        yield 'quotes' => ["Ann's \"best\" 'oil'; DROP TABLE formulas;--\n1 cup o'live oil"];
        yield 'three hundred lines' => [
            "Long\n".implode("\n", array_map(static fn (int $n): string => $n.' g olive oil', range(1, 299))),
        ];
        yield 'one long word' => [str_repeat('a', 50_000)];
        yield 'many numbers' => [str_repeat("1/2/3/4 1-2-3 ½½½ g\n", 200)];
        yield 'brackets' => [str_repeat('((((', 500)."\n".str_repeat('2 g (', 200)];
        yield 'division by nothing' => ["Oil\n1/0 cup olive oil\n5 g jojoba"];
    }

    #[DataProvider('hostileTexts')]
    public function test_hostile_text_gets_a_clear_answer(string $text): void
    {
        $answer = $this->got('ReadAnswer', 'POST', 'read', ['text' => $text]);
        $page = $this->got('FormulaPage', 'POST', 'formulas', ['formula' => $answer['formula'], 'head_id' => null]);

        self::assertSame($answer['formula']['lines'], $page['formula']['lines']);
    }

    public function test_impossible_input_is_refused_by_field(): void
    {
        foreach ([['text' => ''], ['text' => str_repeat('oil ', 50_000)], ['text' => 42], []] as $body) {
            $this->ask('POST', 'read', $body)
                ->assertStatus(422)
                ->assertJsonStructure(['message', 'errors' => ['text']]);
        }
        $lines = array_fill(0, 301, ['ingredient' => 'olive-oil', 'amount' => '1 g']);
        foreach (
            [
                [
                    'lines' => array_map(
                        static fn (array $l, int $i): array => $l + ['id' => 'x'.$i],
                        $lines,
                        array_keys($lines),
                    ),
                ],
                ['title' => str_repeat('x', 500)],
                ['kind' => 'potion'],
                ['lines' => 'none'],
                ['size' => ['mode' => 'mass', 'grams' => -4]],
            ] as $formula
        ) {
            $this->ask('POST', 'evaluate', ['formula' => $formula])
                ->assertStatus(422)
                ->assertJsonStructure(['message', 'errors']);
        }
        $this->ask('POST', 'evaluate', ['formula' => null])->assertStatus(422);
        $this->ask('PUT', 'formulas/'.$this->formula()['id'], ['formula' => []])
            ->assertStatus(422)
            ->assertJsonValidationErrors('revision');
    }

    public function test_the_working_of_a_line_is_told_when_it_is_asked_for(): void
    {
        $formula = $this->read("Night oil\n2 tbsp castor oil\n60 g jojoba oil");
        $asked = static fn (string $line): array => ['formula' => $formula, 'head_id' => null, 'line' => $line];
        [$castor, $jojoba] = array_column($formula['lines'], 'id');

        $spoons = $this->got('Working', 'POST', 'working', $asked($castor));
        self::assertSame('amounts', $spoons['method']);
        self::assertContains('volume', array_column($spoons['inputs'], 'name'));
        self::assertStringContainsString('Weighed', $this->got('Working', 'POST', 'working', $asked($jojoba))['words']);
        $this->ask('POST', 'working', $asked('gone'))->assertStatus(422)->assertJsonValidationErrors('lines');
        $this->ask('POST', 'working', $asked(''))->assertStatus(422)->assertJsonValidationErrors('line');
    }

    public function test_until_when_it_would_keep_made_today(): void
    {
        $page = $this->formula();
        $days = (int) round(today()->diffInDays($page['keeps']['best_before'], false));
        self::assertEqualsWithDelta($page['assessment']['life_months']['low'] * 30.44, $days, 1.0);
        self::assertSame(9, $page['keeps']['opened_months'], 'olive oil, once opened');

        $unknown = $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $this->read("Riddle\n10 g unicorn powder"),
            'head_id' => null,
        ]);
        self::assertNull($unknown['keeps'], 'cannot tell');
    }
}
