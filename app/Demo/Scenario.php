<?php

declare(strict_types=1);

namespace App\Demo;

use App\Pantry\Lot;
use Illuminate\Support\Carbon;
use RuntimeException;

/**
 * The demo studio's story: two people, three months of work. Told in the makers' own words, through the application's
 * own addresses, on the days on which it happened.
 *
 * @phpstan-import-type Answer from Maker
 * @phpstan-import-type AnsweredLine from Maker
 */
final class Scenario
{
    /** What stands in the kitchen, beside the scale of the studio. */
    public const KIT = [
        ['kind' => 'jar', 'name' => 'Amber jar, 100 ml', 'brim_ml' => 112, 'shoulder_ml' => 100, 'tare_grams' => 118.5],
        ['kind' => 'jar', 'name' => 'Dropper bottle, 50 ml', 'brim_ml' => 56, 'shoulder_ml' => 50, 'tare_grams' => 61],
        ['kind' => 'bowl', 'name' => 'Steel bowl', 'millilitres' => 1000, 'material' => 'steel', 'tare_grams' => 287],
        ['kind' => 'pan', 'name' => 'Wide pan', 'millilitres' => 3000],
        ['kind' => 'mould', 'name' => 'Round mould', 'hollows' => 6, 'millilitres' => 45],
        ['kind' => 'strainer', 'name' => 'Muslin', 'weave' => 'cloth'],
        ['kind' => 'strainer', 'name' => 'Coffee paper', 'weave' => 'paper'],
        ['kind' => 'thermometer', 'name' => 'Long probe', 'sort' => 'probe', 'step_celsius' => 0.1],
        ['kind' => 'mixer', 'name' => 'Hand mixer', 'sort' => 'hand'],
        ['kind' => 'place', 'name' => 'Loft shelf', 'summer_celsius' => 24, 'winter_celsius' => 18],
        ['kind' => 'place', 'name' => 'Stair cupboard', 'summer_celsius' => 18, 'winter_celsius' => 11],
        ['kind' => 'place', 'name' => 'Fridge', 'summer_celsius' => 5, 'winter_celsius' => 5],
        ['kind' => 'place', 'name' => 'Bathroom', 'summer_celsius' => 26, 'winter_celsius' => 22, 'wet' => 'wet'],
    ];

    public function __construct(
        private readonly Maker $amara,
        private readonly Maker $noor,
        private readonly Carbon $today,
    ) {
    }

    public function play(): void
    {
        $this->daysAgo(100);
        $heads = $this->heads();
        $this->daysAgo(100);
        $this->cupboard();
        $steeps = $this->earlySteeps();
        $formulas = $this->formulas($steeps, $heads);
        $this->before($formulas);
        $batches = $this->batches($formulas);
        $this->found($batches);
        $this->routines($heads, $batches);
        $this->laterSteeps();
        $this->daysAgo(3);
        $this->weighed();
        $this->daysAgo(0);
        $this->amara->post('batches', ['formula_id' => $formulas['seal']]);
        $this->counter($formulas);
        $this->orders($formulas);
    }

    /**
     * The year before they wrote anything down: what they still knew of it, with the day on which it was made. All of
     * these jars are gone.
     *
     * @param  array<string, int>  $formulas
     */
    private function before(array $formulas): void
    {
        $plan = [
            ['scalp', 351, 4, 30, 25.0],
            ['cloud', 322, 4, 120, 70.0],
            ['edge', 287, 6, 15, 14.0],
            ['scalp', 246, 4, 30, 24.0],
            ['bar', 213, 3, 75, 57.0],
            ['cloud', 171, 5, 120, 66.0],
            ['child', 139, 3, 60, 51.0],
            ['scalp', 112, 4, 30, 25.0],
        ];
        foreach ($plan as [$key, $ago, $jars, $ml, $net]) {
            $batch = $this->filled($this->noor, $formulas[$key], $jars, $ml, $net, [
                'made_on' => $this->date($ago),
                'note' => 'From the notebook.',
            ]);
            $this->noor->post(sprintf('pantry/lots/%d/movements', $batch['shelf_lot'] ?? 0), [
                'kind' => 'given',
                'jars' => $jars,
                'to' => 'Friends and neighbours',
            ]);
        }
    }

    /**
     * Weighed as it was asked for, and closed.
     *
     * @param  array<string, mixed>  $more
     * @return Answer
     */
    private function filled(Maker $by, int $formula, int $jars, int $ml, float $net, array $more): array
    {
        $batch = $by->post('batches', ['formula_id' => $formula]);
        foreach ($batch['weighings'] as $w) {
            $batch = $this->put($by, $batch, $w, 1.0);
        }

        return $by->post('batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => $jars,
            'jar_ml' => $ml,
            'net_grams' => $net,
            'note' => '',
            ...$more,
        ]);
    }

    /**
     * One line on the scale, so many times what was asked for.
     *
     * @param  Answer  $batch
     * @param  array{line: string, target_grams: float}  $w
     * @return Answer
     */
    private function put(Maker $by, array $batch, array $w, float $stray): array
    {
        return $by->put('batches/'.$batch['id'].'/weighings', [
            'revision' => $batch['revision'],
            'line' => $w['line'],
            'gathered' => true,
            'grams' => round($w['target_grams'] * $stray, $w['target_grams'] < 10 ? 2 : 0),
        ]);
    }

    /**
     * What stands at the counter today: a butter that is chilling, and an oil that was finished in the morning.
     *
     * @param  array<string, int>  $formulas
     */
    private function counter(array $formulas): void
    {
        $this->filled($this->noor, $formulas['edge'], 6, 15, 14.0, [
            'remainder_grams' => 4,
            'sample_kept' => true,
            'inspected' => ['whole', 'clean', 'sealed', 'labelled'],
        ]);
        $batch = $this->amara->post('batches', ['formula_id' => $formulas['cloud']]);
        foreach ($batch['weighings'] as $n => $w) {
            if ($n < count($batch['weighings']) - 1) {
                $batch = $this->put($this->amara, $batch, $w, $n === 0 ? 1.004 : 1.0);
            }
        }
        foreach ($batch['tasks'] as $task) {
            if ($task['kind'] === 'chill') {
                break;
            }
            $batch = $this->amara->put('batches/'.$batch['id'].'/tasks', [
                'revision' => $batch['revision'],
                'task' => $task['id'],
                'done' => true,
            ]);
        }
        foreach ([[34, 40.0], [24, 37.5], [14, 35.0], [4, 33.5]] as [$ago, $celsius]) {
            $this->amara->post('batches/'.$batch['id'].'/readings', [
                'task' => 'chill',
                'celsius' => $celsius,
                'where' => 'fridge',
                'at' => Carbon::now()->subMinutes($ago)->toIso8601ZuluString('millisecond'),
            ]);
        }
    }

    /**
     * What people wait for.
     *
     * @param  array<string, int>  $formulas
     */
    private function orders(array $formulas): void
    {
        $wanted = [['cloud', 'A neighbour', 1, 6, 12], ['seal', 'The winter market', 12, 16, 96]];
        foreach ($wanted as [$of, $who, $jars, $in, $price]) {
            $this->noor->post('orders', [
                'formula_id' => $formulas[$of],
                'who' => $who,
                'jars' => $jars,
                'jar_ml' => 50,
                'due_on' => $this->date(-$in),
                'price' => $price,
            ]);
        }
    }

    private function daysAgo(int $days): void
    {
        Carbon::setTestNow($this->today->copy()->subDays($days)->setTime(9, 30));
    }

    private function date(int $daysAgo): string
    {
        return $this->today->copy()->subDays($daysAgo)->toDateString();
    }

    /** @param  array<string, mixed>  $what */
    private function head(array $what): int
    {
        return $this->amara->post('heads', $what)['id'];
    }

    /** @return array<string, int> */
    private function heads(): array
    {
        $ids = [
            'imani' => $this->head([
                'name' => 'Imani',
                'strand' => 'coarse',
                'porosity' => 'high',
                'density' => 'thick',
                'curl' => 'coily',
                'scalp' => 'dry',
                'age_band' => 'adult',
                'wants' => ['sealing', 'dry-lengths', 'length-retention'],
                'style' => 'braids',
                'wash_every_days' => 10,
                'hardness' => 'hard',
            ]),
            'zuri' => $this->head([
                'name' => 'Zuri',
                'strand' => 'fine',
                'porosity' => 'low',
                'density' => 'middling',
                'curl' => 'curly',
                'scalp' => 'oily',
                'age_band' => 'adult',
                'dislikes' => [['what' => 'coconut', 'season' => 'cold']],
                'wants' => ['shedding', 'frizz'],
                'style' => 'loose',
                'wash_every_days' => 4,
            ]),
            'tuma' => $this->head([
                'name' => 'Little Tuma',
                'strand' => 'medium',
                'porosity' => 'normal',
                'scalp' => 'calm',
                'age_band' => '2-6',
                'allergies' => ['tree nut'],
                'wants' => ['child-gentle', 'slip'],
            ]),
            'adaeze' => $this->head([
                'name' => 'Adaeze',
                'strand' => 'medium',
                'porosity' => 'normal',
                'curl' => 'coily',
                'scalp' => 'itchy',
                'age_band' => 'adult',
                'pregnant' => true,
                'wants' => ['itch', 'dry-scalp'],
                'conditions' => ['asthma'],
            ]),
        ];
        $marks = [
            [
                'zuri',
                95,
                [
                    'crown' => 'oily',
                    'hairline' => 'oily',
                    'temple-left' => 'thinning',
                    'temple-right' => 'thinning',
                    'nape' => 'calm',
                    'top' => 'oily',
                ],
            ],
            ['zuri', 40, ['crown' => 'calm', 'top' => 'calm']],
            ['zuri', 6, ['temple-right' => 'calm', 'back' => 'calm', 'side-left' => 'calm', 'side-right' => 'calm']],
            ['adaeze', 20, ['nape' => 'itchy', 'back' => 'itchy', 'crown' => 'dry']],
        ];
        foreach ($marks as [$who, $ago, $zones]) {
            $this->daysAgo($ago);
            foreach ($zones as $zone => $state) {
                $this->amara->post('heads/'.$ids[$who].'/marks', [
                    'zone' => $zone,
                    'state' => $state,
                    'on' => $this->date($ago),
                    'note' => '',
                ]);
            }
        }

        return $ids;
    }

    /**
     * @param  array{string, int|null, float|null, int|null, int|null, string, string}  $of
     * @return array<string, mixed>
     */
    private function bottle(array $of): array
    {
        [$ingredient, $grams, $cost, $bestBefore, $opened, $place, $supplier] = $of;

        return [
            'ingredient' => $ingredient,
            'grams' => $grams,
            'cost' => $cost,
            'printed_on' => $bestBefore === null ? null : $this->date(-$bestBefore),
            'opened_on' => $opened === null ? null : $this->date($opened),
            'bought_on' => $this->date(100),
            'place' => $place,
            'supplier' => $supplier,
        ];
    }

    /** The shelf as it was last weighed; what was not is "some". One bottle was called back. */
    private function weighed(): void
    {
        foreach (Shelf::WEIGHED as $id => $grams) {
            $this->noor->put('ingredients/'.$id.'/cupboard', ['grams' => $grams]);
        }
        $back = Lot::query()->where('ingredient', Shelf::CALLED_BACK)->orderByDesc('id')->firstOrFail();
        $this->noor->put('pantry/lots/'.$back->id.'/withdrawn', ['reason' => 'The mill called it back: wrong seed']);
    }

    /** What stands in the studio's cupboard, an oil of their own, and a figure they weighed themselves. */
    private function cupboard(): void
    {
        $this->amara->post('pantry/lots', ['lots' => array_map($this->bottle(...), Shelf::BOTTLES)]);
        $this->noor->put('ingredients/shea-butter/figures', [
            'form' => '',
            'property' => 'life_months',
            'low' => 12,
            'best' => 15,
            'high' => 18,
            'source' => 'three of our own sacks',
        ]);
        $prices = [
            'shea-butter' => 14.5,
            'cocoa-butter' => 19.8,
            'mango-butter' => 22,
            'jojoba-oil' => 46,
            'sunflower-oil-high-oleic' => 6.4,
            'olive-oil' => 9.2,
            'castor-oil' => 11.5,
            'avocado-oil' => 17,
            'candelilla-wax' => 38,
            'vitamin-e' => 64,
            'arrowroot' => 7.5,
            'lavender-eo' => 210,
        ];
        foreach ($prices as $id => $price) {
            $this->noor->put('ingredients/'.$id.'/figures', [
                'form' => '',
                'property' => 'price_per_kg',
                'low' => $price,
                'best' => $price,
                'high' => $price,
                'source' => 'our last receipt',
            ]);
        }
        $this->noor->post('own-ingredients', [
            'name' => 'Market castor oil',
            'inci' => 'Ricinus Communis Seed Oil',
            'kind' => 'carrier-oil',
            'like' => 'castor-oil',
            'synonyms' => ['market castor'],
            'allergens' => [],
            'vegan' => true,
            'figures' => [
                [
                    'form' => '',
                    'property' => 'life_months',
                    'low' => 9,
                    'best' => 12,
                    'high' => 18,
                    'source' => 'it smelled old after a year',
                ],
            ],
        ]);
        $this->scent();
    }

    /** A scent that comes ready mixed, bought on a journey and paid for in other money. */
    private function scent(): void
    {
        $blend = $this->noor->post('own-ingredients', [
            'name' => 'Evening scent',
            'inci' => '',
            'kind' => 'unknown',
            'like' => '',
            'synonyms' => [],
            'allergens' => [],
            'vegan' => true,
            'figures' => [],
            'parts' => [
                ['ingredient' => 'lavender-eo', 'percent' => 60],
                ['ingredient' => 'cedarwood-atlas-eo', 'percent' => null],
                ['ingredient' => 'sweet-orange-eo', 'percent' => null],
            ],
        ]);
        $bottle = $this->bottle([$blend['ingredient']['id'], 18, 11.0, 500, 20, 'Fridge', 'a market by the sea']);
        $this->noor->post('pantry/lots', ['lots' => [[...$bottle, 'currency' => 'EUR', 'rate' => 0.86]]]);
    }

    /**
     * @param  list<array{0: string, 1: string, 2: string, 3?: string, 4?: int}>  $herbs ingredient, form, amount,
     *     preparation, draw
     * @param  list<array{0: string, 1: string}>  $oils ingredient, amount
     * @param  array<string, mixed>  $over
     * @return Answer
     */
    private function steep(
        string $name,
        array $herbs,
        array $oils,
        string $method,
        int $jar,
        float $wide,
        int $daysAgo,
        array $over = [],
    ): array {
        $this->daysAgo($daysAgo);

        return $this->noor->post('steeps', [
            'name' => $name,
            'herbs' => array_map(
                static fn (array $h): array => [
                    'ingredient' => $h[0],
                    'form' => $h[1],
                    'amount' => $h[2],
                    'preparation' => $h[3] ?? 'none',
                    'draw' => $h[4] ?? 1,
                    'cost' => null,
                ],
                $herbs,
            ),
            'oils' => array_map(
                static fn (array $o): array => ['ingredient' => $o[0], 'amount' => $o[1], 'cost' => null],
                $oils,
            ),
            'water_grams' => 0,
            'method' => $method,
            'celsius' => 0,
            'minutes' => 0,
            'days' => 0,
            'jar_ml' => $jar,
            'diameter_cm' => $wide,
            'mouth_cm' => 0,
            'shaken_daily' => in_array($method, ['cold-dark', 'sunny-sill'], true),
            'pressed' => false,
            'started_on' => $this->date($daysAgo),
            ...$over,
        ]);
    }

    /**
     * @param  Answer  $steep
     * @param  array<string, mixed>  $event
     * @return Answer
     */
    private function happened(array $steep, int $daysAgo, array $event): array
    {
        $this->daysAgo($daysAgo);

        return $this->noor->post('steeps/'.$steep['id'].'/events', [
            'on' => $this->date($daysAgo),
            'note' => '',
            ...$event,
        ]);
    }

    /**
     * @param  Answer  $steep
     * @param  array<string, mixed>  $over
     * @return Answer
     */
    private function strained(array $steep, int $daysAgo, float $grams, array $over = []): array
    {
        $this->daysAgo($daysAgo);

        return $this->noor->post('steeps/'.$steep['id'].'/strain', [
            'revision' => $steep['revision'],
            'yield_grams' => $grams,
            'loss_grams' => 0,
            ...$over,
        ]);
    }

    /** @return array<string, string> ingredient ids of the oils that came of them */
    private function earlySteeps(): array
    {
        $rosemary = $this->steep(
            'Rosemary in olive oil',
            [['rosemary', 'dried', '60 g']],
            [['olive-oil', '480 g']],
            'cold-dark',
            1000,
            10,
            98,
            [
                'herbs' => [
                    [
                        'ingredient' => 'rosemary',
                        'form' => 'dried',
                        'preparation' => 'none',
                        'amount' => '60 g',
                        'draw' => 1,
                        'cost' => 2.4,
                    ],
                ],
                'oils' => [['ingredient' => 'olive-oil', 'amount' => '480 g', 'cost' => 4.3]],
            ],
        );
        $rosemary = $this->happened($rosemary, 85, [
            'kind' => 'note',
            'colour' => 'green gold',
            'smell' => 'clear rosemary',
            'note' => 'Some sprigs floated; pushed them under.',
        ]);
        $fresh = $this->steep(
            'Fresh rosemary in jojoba',
            [['rosemary', 'fresh', '18 g', 'chopped']],
            [['jojoba-oil', '240 g']],
            'water-bath',
            500,
            8,
            72,
        );
        $fresh = $this->happened($fresh, 72, ['kind' => 'bowl', 'before' => 612.0, 'after' => 603.5]);
        $fresh = $this->happened($fresh, 72, [
            'kind' => 'sign',
            'sign' => 'The bubbling has stopped: the water is gone.',
        ]);
        $wet = $this->strained($fresh, 71, 228);
        $done = $this->strained($rosemary, 69, 396, [
            'herb' => 'kept',
            'note' => 'Cloudy at first, clear after a day.',
        ]);
        $again = $this->steep(
            'Rosemary, second draw',
            [['rosemary', 'dried', '60 g', 'none', 2]],
            [['sunflower-oil-high-oleic', '360 g']],
            'cold-dark',
            1000,
            10,
            69,
            ['days' => 21],
        );
        $this->happened($again, 48, ['kind' => 'settling']);
        $this->happened($this->strained($again, 47, 341), 44, ['kind' => 'ready']);
        $this->happened($wet, 69, ['kind' => 'ready']);
        $this->happened($done, 67, ['kind' => 'ready']);

        return ['rosemary' => $done['lot']['ingredient'], 'wet' => $wet['lot']['ingredient']];
    }

    private function laterSteeps(): void
    {
        $running = [
            [
                $this->steep(
                    'Calendula in high-oleic sunflower',
                    [['calendula', 'dried', '40 g']],
                    [['sunflower-oil-high-oleic', '400 g']],
                    'cold-dark',
                    900,
                    9,
                    17,
                ),
                17,
                [3, 9],
            ],
            [
                $this->steep(
                    'Fenugreek in sesame',
                    [['fenugreek', 'seed', '45 g', 'crushed']],
                    [['sesame-oil', '360 g']],
                    'cold-dark',
                    700,
                    9,
                    30,
                ),
                30,
                [12],
            ],
            [
                $this->steep(
                    'Hibiscus in rice bran',
                    [['hibiscus', 'dried', '30 g']],
                    [['rice-bran-oil', '260 g']],
                    'cold-dark',
                    600,
                    8.5,
                    3,
                ),
                3,
                [],
            ],
            [
                $this->steep(
                    'Nettle and horsetail in two oils',
                    [['nettle', 'cut', '25 g'], ['horsetail', 'cut', '20 g']],
                    [['olive-oil', '300 g'], ['jojoba-oil', '100 g']],
                    'cold-dark',
                    750,
                    9,
                    12,
                ),
                12,
                [1, 2, 3, 4],
            ],
            [
                $this->steep(
                    'Amla powder in coconut',
                    [['amla', 'powder', '30 g', 'bagged']],
                    [['coconut-oil', '330 g']],
                    'cold-dark',
                    600,
                    8.5,
                    27,
                ),
                27,
                [],
            ],
        ];
        foreach ($running as [$steep, $days, $missed]) {
            for ($ago = $days; $ago >= 1; $ago--) {
                if ($ago >= $days - 25 && ! in_array($ago, $missed, true)) {
                    $this->daysAgo($ago);
                    $this->noor->put('steeps/'.$steep['id'].'/shakes', [
                        'date' => $this->date($ago),
                        'done' => true,
                    ]);
                }
            }
        }
        // A forgotten herb went in in week one, the jar stood in the sun for a while, some was taken out.
        $nettle = $running[3][0];
        $this->happened($nettle, 6, [
            'kind' => 'herb',
            'ingredient' => 'rosemary',
            'form' => 'dried',
            'preparation' => 'none',
            'amount' => '10 g',
            'note' => 'Forgotten on the first day.',
        ]);
        $this->happened($running[0][0], 8, ['kind' => 'note', 'colour' => 'orange', 'smell' => 'of hay']);
        $this->happened($running[0][0], 5, ['kind' => 'drawn', 'grams' => 40, 'note' => 'For a patch test.']);
        $this->happened($running[4][0], 1, ['kind' => 'settling']);
        $onion = $this->steep(
            'Fresh onion in olive oil',
            [['onion', 'fresh', '60 g', 'chopped']],
            [['olive-oil', '200 g']],
            'cold-dark',
            400,
            8,
            14,
            ['although' => 'To see for ourselves what comes of it; nobody uses it.'],
        );
        $this->daysAgo(9);
        $this->noor->post('steeps/'.$onion['id'].'/spoil', [
            'revision' => $onion['revision'],
            'reason' => 'Fizzing and a sour smell',
        ]);
    }

    /**
     * @param  array<string, string>  $oils
     * @param  array<string, int>  $heads
     * @return array<string, int>
     */
    private function formulas(array $oils, array $heads): array
    {
        $ids = [];
        foreach (Recipes::all() as $key => $recipe) {
            $this->daysAgo($recipe['days_ago']);
            $read = $this->amara->post('read', ['text' => $recipe['text']]);
            /** @var array{lines: list<AnsweredLine>} $formula */
            $formula = [...$read['formula'], ...$recipe['settings']];
            $missing = array_diff(array_keys($recipe['steeped']), array_column($formula['lines'], 'name'));
            if ($missing !== []) {
                throw new RuntimeException("No line of $key is called ".implode(', ', $missing));
            }
            foreach ($formula['lines'] as $i => $line) {
                $steeped = $recipe['steeped'][$line['name']] ?? false;
                if ($steeped !== false) {
                    // They know which jar they mean.
                    unset($line['doubt']);
                    $formula['lines'][$i] = [...$line, 'ingredient' => $oils[$steeped], 'phase' => 'warm'];
                }
            }
            $head = $recipe['head'] === '' ? null : $heads[$recipe['head']];
            $page = $this->amara->post('formulas', ['formula' => $formula, 'head_id' => $head]);
            $this->amara->post('formulas/'.$page['id'].'/versions', ['note' => 'As first written']);
            $ids[$key] = $page['id'];
        }
        $this->daysAgo(70);
        $this->family($ids['cloud']);
        $this->secondThoughts($ids['cloud']);

        return $ids;
    }

    /** The whipped butter was too soft in August: a second version with more cocoa butter. */
    private function secondThoughts(int $id): void
    {
        $this->daysAgo(66);
        $kept = $this->amara->post('formulas/'.$id.'/versions', ['note' => 'Before changing it']);
        $formula = $kept['formula'];
        foreach ($formula['lines'] as $i => $line) {
            if ($line['ingredient'] === 'cocoa-butter') {
                $formula['lines'][$i]['amount'] = '60 g';
            }
        }
        $this->amara->put('formulas/'.$id, [
            'revision' => $kept['revision'],
            'formula' => $formula,
            'head_id' => $kept['head_id'],
        ]);
        $this->amara->post('formulas/'.$id.'/versions', ['note' => 'Too soft in August: cocoa butter up to 60 g']);
    }

    /**
     * @param  array<string, int>  $formulas
     * @return array<string, int>
     */
    private function batches(array $formulas): array
    {
        $made = [];
        // Each: days ago, jars, jar ml, net grams, how far the weighing strayed, a note.
        $plan = [
            'cloud' => [64, 5, 120, 68.0, 1.004, 'Whipped 9 minutes, stood well.'],
            'scalp' => [58, 4, 30, 25.0, 0.997, ''],
            'edge' => [45, 6, 15, 14.0, 1.01, 'One tin held back as the sample.'],
            'child' => [31, 3, 60, 52.0, 1.0, 'For Tuma and two cousins.'],
            'bar' => [20, 3, 75, 58.0, 0.995, 'Moulds chilled 40 minutes.'],
            'hot' => [9, 2, 60, 50.0, 1.002, ''],
        ];
        foreach ($plan as $key => [$ago, $jars, $ml, $net, $stray, $note]) {
            $this->daysAgo($ago);
            $batch = $this->noor->post('batches', ['formula_id' => $formulas[$key]]);
            foreach ($batch['weighings'] as $i => $w) {
                $batch = $this->put($this->noor, $batch, $w, $i === 0 ? $stray : 1.0);
            }
            $done = $this->noor->post('batches/'.$batch['id'].'/finish', [
                'revision' => $batch['revision'],
                'jars' => $jars,
                'jar_ml' => $ml,
                'net_grams' => $net,
                'note' => $note,
            ]);
            $made[$key] = $done['id'];
        }

        return $made;
    }

    /**
     * What they found on their own batches since.
     *
     * @param  array<string, int>  $batches
     */
    private function found(array $batches): void
    {
        $findings = [
            ['cloud', 64, ['texture' => '', 'overrun_percent' => 62, 'whipped_minutes' => 9]],
            ['cloud', 52, ['texture' => 'softer', 'note' => 'Dents at once under a finger.']],
            ['edge', 38, ['texture' => 'firmer']],
            ['bar', 12, ['texture' => 'as-said']],
        ];
        foreach ($findings as [$batch, $ago, $found]) {
            $this->daysAgo($ago);
            $this->noor->post('batches/'.$batches[$batch].'/findings', [
                'on' => $this->date($ago),
                'state' => '',
                'note' => '',
                ...$found,
            ]);
        }
    }

    /** The whipped butter in two scents, made before the base was changed: that change still waits to be passed on. */
    private function family(int $base): void
    {
        foreach (
            [
                ['lavender', 'lavender-eo', 'Lavender essential oil', '30 drops'],
                ['rosemary', 'rosemary-eo', 'Rosemary essential oil', '24 drops'],
            ] as [$scent, $id, $name, $amount]
        ) {
            $variant = $this->amara->post('formulas/'.$base.'/variants', ['title' => 'Cloud butter, '.$scent]);
            $variant['formula']['lines'] = array_values(
                array_filter(
                    $variant['formula']['lines'],
                    static fn (array $l): bool => ! str_ends_with($l['ingredient'], '-eo'),
                ),
            );
            $variant['formula']['lines'][] = [
                'id' => 'scent',
                'ingredient' => $id,
                'name' => $name,
                'amount' => $amount,
                'form' => '',
                'phase' => 'cool-down',
                'locked' => false,
            ];
            $this->amara->put('formulas/'.$variant['id'], [
                'revision' => $variant['revision'],
                'formula' => $variant['formula'],
                'head_id' => $variant['head_id'],
            ]);
        }
    }

    /**
     * @param  array<string, int>  $heads
     * @param  array<string, int>  $batches
     */
    private function routines(array $heads, array $batches): void
    {
        $plans = [
            ['imani', 'cloud', 2, 4.0, 40, 'Over damp lengths, ends last'],
            ['tuma', 'child', 1, 2.0, 27, 'A few drops on the parted scalp'],
            ['zuri', 'scalp', 2, 1.5, 2, 'Parted in four, massaged two minutes'],
        ];
        foreach ($plans as [$head, $batch, $perWeek, $grams, $ago, $way]) {
            $this->daysAgo($ago);
            $routine = $this->amara->post('routines', [
                'head_id' => $heads[$head],
                'batch_id' => $batches[$batch],
                'per_week' => $perWeek,
                'grams_per_use' => $grams,
                'starts_on' => $this->date($ago),
                'way' => $way,
            ]);
            foreach ($routine['days'] as $n => $day) {
                if ($day['date'] < $this->today->toDateString()) {
                    Carbon::setTestNow(Carbon::parse($day['date'])->setTime(19, 0));
                    $this->amara->put('routine-days/'.$day['id'], ['state' => $n % 7 === 6 ? 'skipped' : 'done']);
                }
            }
        }
    }
}
