<?php

declare(strict_types=1);

/*
 * Part of tests/durability/run: several people at once, in the same studio and on the same jar. Nobody gets a "Server
 * Error", no code is given twice, and no oil of a mouldy jar stays usable.
 */

require __DIR__.'/client.php';

const ROUNDS = 12;

$must = static function (bool $holds, string $what): void {
    if (! $holds) {
        fwrite(STDERR, $what."\n");
        exit(1);
    }
};
$statuses = static fn (array $answers): array => array_column($answers, 0);
$today = gmdate('Y-m-d');
$jar = static function () use ($ask, $must): array {
    [$status, $steep] = $ask('POST', '/api/steeps', [
        'name' => 'Jar of two',
        'water_grams' => 0,
        'method' => 'cold-dark',
        'celsius' => 0,
        'minutes' => 0,
        'days' => 0,
        'jar_ml' => 700,
        'herbs' => [
            [
                'ingredient' => 'rosemary',
                'form' => 'dried',
                'preparation' => 'none',
                'amount' => '40 g',
                'draw' => 1,
                'cost' => null,
            ],
        ],
        'oils' => [['ingredient' => 'olive-oil', 'amount' => '360 g', 'cost' => null]],
        'diameter_cm' => 9,
        'mouth_cm' => 0,
        'shaken_daily' => true,
        'pressed' => false,
        'started_on' => gmdate('Y-m-d', time() - 864_000),
    ]);
    $must($status === 201, 'a jar could not be begun: '.$status);

    return $steep;
};
$draw = static fn (int $id): array => [
    'POST',
    '/api/steeps/'.$id.'/events',
    ['kind' => 'drawn', 'on' => $today, 'note' => '', 'grams' => 20],
];

$ask('GET', '/sanctum/csrf-cookie');
$must($ask('POST', '/api/demo')[0] === 200, 'the demo studio could not be entered');
$formula = $ask('POST', '/api/read', ['text' => "Light oil\n80 g jojoba oil\n20 g olive oil"])[1]['formula'];
$kept = $ask('POST', '/api/formulas', ['formula' => $formula])[1]['id'];

// The same formula begun by several at once is one batch; different ones have a code each.
$answers = $together(array_fill(0, ROUNDS, ['POST', '/api/batches', ['formula_id' => $kept]]));
$must(array_unique($statuses($answers)) === [201], 'begun at once: '.implode(' ', $statuses($answers)));
$must(count(array_unique(array_column(array_column($answers, 1), 'id'))) === 1, 'one formula was begun twice');
$others = [];
for ($n = 0; $n < ROUNDS; $n++) {
    $others[] = $ask('POST', '/api/formulas', ['formula' => ['title' => "Oil $n"] + $formula])[1]['id'];
}
$answers = $together(
    array_map(static fn (int $id): array => ['POST', '/api/batches', ['formula_id' => $id]], $others),
);
$must(array_unique($statuses($answers)) === [201], 'begun at once: '.implode(' ', $statuses($answers)));
$must(
    count(array_unique(array_column(array_column($answers, 1), 'lot_code'))) === ROUNDS,
    'a lot code was given twice',
);

$answers = $together(array_fill(0, 6, ['POST', '/api/formulas/'.$kept.'/versions', ['note' => '']]));
$must(array_unique($statuses($answers)) === [201], 'kept at once: '.implode(' ', $statuses($answers)));
$must(count($ask('GET', '/api/formulas/'.$kept)[1]['versions']) === 6, 'a version was lost');

for ($n = 0; $n < ROUNDS; $n++) {
    $same = [
        'POST',
        '/api/heads',
        ['name' => 'Pressed twice '.$n],
        'press-'.str_pad((string) $n, 6, '0', STR_PAD_LEFT),
    ];
    [$one, $other] = $together([$same, $same]);
    $must(
        [$one[0], $other[0]] === [201, 201] && $one[1]['id'] === $other[1]['id'],
        'pressed twice, two heads: '.$one[0].' '.$other[0],
    );

    $steep = $jar();
    $spoil = [
        'POST',
        '/api/steeps/'.$steep['id'].'/spoil',
        ['revision' => $steep['revision'], 'reason' => 'mould'],
    ];
    $answers = $together([$draw($steep['id']), $spoil, $draw($steep['id'])]);
    $must(
        array_diff($statuses($answers), [200, 201, 409]) === [],
        'drawn beside spoiled: '.implode(' ', $statuses($answers)),
    );
    $after = $ask('GET', '/api/steeps/'.$steep['id'])[1];
    $usable = array_filter($after['lots'], static fn (array $lot): bool => $lot['withdrawn'] === '');
    $must($after['state'] !== 'spoiled' || $usable === [], 'a mouldy jar has left an oil that may be used');

    $steep = $jar();
    $strain = [
        'POST',
        '/api/steeps/'.$steep['id'].'/strain',
        ['revision' => $steep['revision'], 'yield_grams' => 250, 'loss_grams' => 0],
    ];
    $answers = $together([$draw($steep['id']), $strain, $draw($steep['id'])]);
    $must(
        array_diff($statuses($answers), [200, 201, 409]) === [],
        'drawn beside strained: '.implode(' ', $statuses($answers)),
    );
    $events = $ask('GET', '/api/steeps/'.$steep['id'])[1]['events'];
    $strained = array_filter($events, static fn (array $e): bool => str_starts_with($e['note'], 'Strained.'));
    $later = array_filter(
        $events,
        static fn (array $e): bool => $strained !== [] && $e['kind'] === 'drawn' && $e['id'] > reset($strained)['id'],
    );
    $must($later === [], 'something was drawn from a jar that had been strained');
}
// Four hands on one bottle: what is left is the sum of what moved, and never less than nothing.
for ($round = 0; $round < ROUNDS; $round++) {
    $lots = ['lots' => [['ingredient' => 'olive-oil', 'grams' => 100]]];
    $lot = $ask('POST', '/api/pantry/lots', $lots)[1]['items'][0]['id'];
    $spill = ['POST', '/api/pantry/lots/'.$lot.'/movements', ['kind' => 'wasted', 'grams' => 30]];
    $answers = $together([$spill, $spill, $spill, $spill]);
    $must(array_diff($statuses($answers), [201]) === [], 'spilt together: '.implode(' ', $statuses($answers)));
    $page = $ask('GET', '/api/pantry/lots/'.$lot)[1];
    $sum = array_sum(array_column($page['movements'], 'grams'));
    $must(abs($page['left_grams']) < 1e-6 && abs($sum) < 1e-6, "left $page[left_grams] g of what moved, $sum");
    $kinds = array_count_values(array_column($page['movements'], 'kind'));
    $must(
        ($kinds['wasted'] ?? 0) === 4 && ($kinds['corrected'] ?? 0) === 1,
        'each of four spills is written down once',
    );
}
printf("  %d at once, %d jars between two people: as if in turn\n", ROUNDS, 2 * ROUNDS);
