<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

final class ScopingTest extends StudioTestCase
{
    /** Addresses whose only parameter is a name of the catalogue or of a method, which belong to everyone. */
    private const OPEN = [
        'api/ingredients/{ingredient}',
        'api/ingredients/{ingredient}/figures',
        'api/ingredients/{ingredient}/cupboard',
        'api/methods/{method}',
        '{place?}',
        'api/join/{token}',
        'api/look/{token}',
        'api/jar/{token}',
        'api/jar/{token}',
        'api/devices/{device}',
    ];

    public function test_another_studios_ids_answer_404_on_every_route(): void
    {
        $batch = $this->batch();
        $routine = $this->routineOf($batch['id']);
        $head = $this->marked($routine['head_id']);
        $own = $this->ownOil('Our oil');
        $this->ask('PUT', 'ingredients/olive-oil/figures', [
            'form' => '',
            'property' => 'weight',
            'low' => 3,
            'best' => 3,
            'high' => 3,
            'source' => 'felt',
        ])->assertNoContent();
        $figure = $this->ask('GET', 'ingredients/olive-oil')->json('own_figures.0.id');
        $jar = $this->got('Steep', 'POST', 'steeps/'.$this->steep()['id'].'/events', [
            'kind' => 'drawn',
            'on' => today()->toDateString(),
            'note' => '',
            'grams' => 20,
        ]);
        $photo = $this->asPicture($jar['id'], self::picture());
        $finding = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', [
            'on' => today()->toDateString(),
            'texture' => 'softer',
            'state' => '',
            'note' => '',
        ]);
        $orders = $this->got('OrderList', 'POST', 'orders', [
            'formula_id' => $batch['formula_id'],
            'who' => 'Ms Ode',
            'jars' => 1,
            'jar_ml' => 30,
            'due_on' => today()->addDays(9)->toDateString(),
        ]);
        $ids = [
            'order' => $orders['items'][0]['id'],
            'finding' => $finding['findings'][0]['id'],
            'event' => $jar['events'][0]['id'],
            'lot' => $jar['lots'][0]['id'],
            'photo' => $photo->json('photos.0.id'),
            'mark' => $head['marks'][0]['id'],
            'own' => $own['id'],
            'figure' => $figure,
            'formula' => $this->formula()['id'],
            'head' => $routine['head_id'],
            'steep' => $jar['id'],
            'batch' => $batch['id'],
            'routine' => $routine['id'],
            'person' => $this->amara->id,
            'invitation' => 1,
            'timer' => 1,
            'movement' => 1,
            'reading' => 1,
            'item' => 1,
            'link' => 1,
            'day' => $routine['days'][0]['id'],
        ];
        $bodies = [
            'PUT' => [
                'revision' => 1,
                'formula' => ['title' => 'Stolen'],
                'head_id' => null,
                'state' => 'done',
                'date' => today()->toDateString(),
                'done' => true,
                'line' => 'l1',
                'gathered' => true,
                'grams' => 1,
                'name' => 'Stolen',
                'strand' => 'fine',
                'porosity' => 'low',
                'scalp' => 'calm',
                'age_band' => 'over-12',
                'pregnant' => false,
                'allergies' => [],
                'dislikes' => [],
                'inci' => '',
                'kind' => 'carrier-oil',
                'like' => '',
                'synonyms' => [],
                'allergens' => [],
                'vegan' => true,
                'figures' => [],
                'task' => 'fill',
                'role' => 'helper',
                'reason' => '',
            ],
            'POST' => [
                'revision' => 1,
                'note' => '',
                'yield_grams' => 5,
                'loss_grams' => 0,
                'jars' => 1,
                'jar_ml' => 10,
                'net_grams' => 5,
                'zone' => 'nape',
                'on' => today()->toDateString(),
                'kind' => 'hair-oil',
                'ingredients' => [],
                'reason' => 'mould',
                'texture' => 'softer',
                'state' => '',
                'title' => 'Stolen',
            ],
        ];
        // One word means another thing to another route.
        $said = [
            'api/heads/{head}/marks' => ['state' => 'calm'],
            'api/steeps/{steep}/events' => ['kind' => 'note'],
            'api/orders/{order}' => ['state' => 'off'],
            'api/pantry/lots/{lot}/movements/{movement}' => ['ended_on' => null],
            'api/batches/{batch}/pour' => ['line' => 'l1', 'grams' => 5],
            'api/batches/{batch}/timers' => ['task' => 'melt', 'minutes' => 5, 'label' => ''],
            'api/batches/{batch}/readings' => ['task' => 'melt', 'celsius' => 5, 'where' => 'air'],
            'api/pantry/lots/{lot}/movements' => ['kind' => 'counted', 'grams' => 5],
        ];
        $before = $this->fingerprint();
        $tried = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $names = $route->parameterNames();
            if ($names === [] || in_array($route->uri(), self::OPEN, true)) {
                continue;
            }
            self::assertArrayHasKey($names[0], $ids, 'Teach this test about '.$route->uri());
            $path = '/'.preg_replace_callback(
                '/\{(\w+)\}/',
                static fn (array $m): string => (string) $ids[$m[1]],
                $route->uri(),
            );
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $body = [...$bodies[$method] ?? [], ...$said[$route->uri()] ?? []];
                $this->ask($method, $path, $body, $this->stranger)->assertStatus(404);
                $tried++;
            }
        }
        self::assertGreaterThanOrEqual(32, $tried);
        self::assertSame($before, $this->fingerprint(), 'nothing was changed on the way');
    }

    public function test_another_studios_ids_in_a_body_are_not_found_either(): void
    {
        $head = $this->headOf();
        $batch = $this->batch();
        $this->ask(
            'POST',
            'evaluate',
            ['formula' => ['title' => 'x'], 'head_id' => $head['id']],
            $this->stranger,
        )->assertStatus(404);
        $this->ask('POST', 'batches', ['formula_id' => $batch['formula_id']], $this->stranger)->assertStatus(404);
        $this->ask(
            'POST',
            'routines',
            [
                'head_id' => $head['id'],
                'batch_id' => $batch['id'],
                'per_week' => 1,
                'grams_per_use' => 1,
                'starts_on' => today()->toDateString(),
                'way' => '',
            ],
            $this->stranger,
        )->assertStatus(404);
    }

    public function test_lists_show_only_ones_own(): void
    {
        $this->batch();
        $this->headOf();
        $this->steep();
        foreach (['formulas', 'heads', 'steeps', 'batches', 'lots', 'routines'] as $list) {
            self::assertSame([], $this->ask('GET', $list, [], $this->stranger)->assertOk()->json('items'), $list);
        }
        self::assertSame([], $this->ask('GET', 'today', [], $this->stranger)->json('items'));
    }

    private function fingerprint(): string
    {
        $rows = [];
        foreach (
            [
                'formulas',
                'formula_versions',
                'heads',
                'steeps',
                'steep_shakes',
                'lots',
                'batches',
                'routines',
                'routine_days',
                'head_marks',
                'own_ingredients',
                'own_figures',
                'stock_movements',
                'weigh_ins',
                'batch_findings',
                'steep_events',
                'pictures',
            ] as $table
        ) {
            $rows[$table] = DB::table($table)->orderBy('id')->get()->toJson();
        }

        return sha1((string) json_encode($rows));
    }
}
