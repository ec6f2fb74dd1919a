<?php

declare(strict_types=1);

/*
 * Part of bin/bench. Prints medians and 95th percentiles against the budgets of docs/architecture.md.
 *   php bin/bench.php core          the core alone
 *   php bin/bench.php http URL      the application, with 8 clients
 */

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Catalogue\CatalogueReader;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Reading\RecipeReader;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Requirements;
use Crown\Solving\Solver;
use Crown\Solving\Supply;

require dirname(__DIR__).'/vendor/autoload.php';

const RECIPE = <<<'TEXT'
    Bench butter
    1 cup shea butter
    40 g cocoa butter
    1/2 cup coconut oil
    3 tbsp castor oil
    80 g jojoba oil
    2 tbsp argan oil
    2 tbsp avocado oil
    1 tbsp baobab oil
    20 g candelilla wax
    1 tbsp arrowroot
    1 tsp vitamin e
    20 drops lavender essential oil
    10 drops rosemary essential oil
    5 drops lemon essential oil
    2 tbsp grapeseed oil
    1. Melt the butters and the wax in a water bath at 75 C.
    2. Add the oils, let it cool to 35 C.
    3. Chill for 30 minutes, whip for 8 minutes.
    4. Stir in the scents, fill the jars.
    TEXT;

/* Prints the figures; answers with the median. */
$row = static function (string $what, array $milliseconds, string $budget): float {
    sort($milliseconds);
    $at = static fn (float $share): float => $milliseconds[(int) floor($share * (count($milliseconds) - 1))];
    printf("  %-56s median %8.2f ms   p95 %8.2f ms   budget %s\n", $what, $at(0.5), $at(0.95), $budget);

    return $at(0.5);
};
$time = static function (callable $work, int $times): array {
    $work();
    $taken = [];
    for ($n = 0; $n < $times; $n++) {
        $start = hrtime(true);
        $work();
        $taken[] = (hrtime(true) - $start) / 1e6;
    }

    return $taken;
};

if (($argv[1] ?? '') === 'core') {
    $catalogue = (new CatalogueReader(dirname(__DIR__).'/data'))->read();
    $context = new Context($catalogue, new Kitchen());
    $reader = new RecipeReader($catalogue, new Kitchen());
    $formula = $reader->read(RECIPE)->toFormula();
    $row(
        'assessment of a 15-line formula, warm',
        $time(static fn () => Assessor::standard()->assess($formula, $context), 500),
        '1 ms',
    );
    $row(
        'the same, written as JSON',
        $time(static fn () => json_encode(Assessor::standard()->assess($formula, $context)), 500),
        '-',
    );
    $row('reading a 20-line recipe', $time(static fn () => $reader->read(RECIPE), 60), '10 ms');
    $row(
        'search with slips of the pen',
        $time(static fn () => $catalogue->search('rosmary esential oil'), 200),
        '20 ms',
    );
    $fats = array_slice(
        array_values(
            array_filter(
                $catalogue->all(),
                static fn ($i): bool => $i->composition->solidFat->known()
                    && $i->facts->has(Property::Weight)
                    && ! $i->kind->isPlant(),
            ),
        ),
        0,
        60,
    );
    $candidates = array_map(static fn ($i): Candidate => new Candidate($i, 0.0, 100.0, 0.0, new Supply(1.0)), $fats);
    $demands = [
        Requirements::written('solids', 15, 35),
        Requirements::written('solids', null, 60, at: 10),
        Requirements::written('solids', 2, null, at: 30),
        Requirements::written('weight', 2, 3.4),
        Requirements::written('saturated', 10, 50),
        Requirements::written('polyunsaturated', null, 25),
        Requirements::written('life', 14),
        Requirements::written('load', null, 1),
        Requirements::written('dermal'),
        Requirements::written('need', 10, null, 'sealing'),
        Requirements::written('need', 5, null, 'frizz'),
    ];
    for ($k = 0; count($demands) < 30; $k++) {
        $demands[] = Requirements::written(
            'share',
            0,
            60,
            implode('+', array_map(static fn ($i): string => $i->id, array_slice($fats, $k * 3, 4))),
        );
    }
    $row(
        'solver, 60 candidates and 30 demands',
        $time(static fn () => Solver::solve($candidates, $demands, [Goal::Nearest]), 20),
        '100 ms',
    );
    exit();
}

$url = (string) ($argv[2] ?? '');
$jar = tempnam(sys_get_temp_dir(), 'bench');
$handle = static function (string $method, string $path, ?string $body, array $more) use ($url): CurlHandle {
    $curl = curl_init($url.$path);
    curl_setopt_array(
        $curl,
        [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body, CURLOPT_RETURNTRANSFER => true] + $more,
    );

    return $curl;
};
$heads = static function () use ($url, $jar): array {
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $m) === 1 ? urldecode($m[1]) : '';

    return [
        CURLOPT_HTTPHEADER => [
            'Content-Type: application/json',
            'Accept: application/json',
            'Referer: '.$url.'/',
            'X-XSRF-TOKEN: '.$token,
        ],
    ];
};
$once = static function (string $method, string $path, ?string $body = null) use ($handle, $heads, $jar): string {
    $curl = $handle($method, $path, $body, [CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar] + $heads());
    $answer = (string) curl_exec($curl);
    curl_close($curl);

    return $answer;
};
/* Each client asks again when it is answered, but no sooner than so many milliseconds after it asked before. */
$clients = static function (
    string $method,
    string $path,
    ?string $body,
    int $each,
    int $count,
    float $pause = 0.0,
) use ($handle, $heads, $jar): array {
    // Read once: a client that reads and writes its cookies with every request would use more of the machine than a
    // browser does.
    preg_match_all(
        '/^(?:#HttpOnly_)?\S+\t\S+\t\S+\t\S+\t\S+\t(\S+)\t(\S+)$/m',
        (string) file_get_contents($jar),
        $cookies,
        PREG_SET_ORDER,
    );
    $more = [CURLOPT_COOKIE => implode('; ', array_map(static fn (array $c): string => $c[1].'='.$c[2], $cookies))]
        + $heads();
    $multi = curl_multi_init();
    $left = array_fill(0, $count, $each);
    $taken = $due = $asked = [];
    $start = static function (int $client) use ($multi, $handle, $method, $path, $body, $more, &$asked): void {
        $asked[$client] = hrtime(true) / 1e6;
        $curl = $handle($method, $path, $body, $more);
        curl_setopt($curl, CURLOPT_PRIVATE, (string) $client);
        curl_multi_add_handle($multi, $curl);
    };
    for ($client = 0; $client < $count; $client++) {
        // Hands do not begin together.
        $due[$client] = hrtime(true) / 1e6 + ($client * $pause) / $count;
    }
    do {
        foreach ($due as $client => $at) {
            if (hrtime(true) / 1e6 >= $at) {
                unset($due[$client]);
                $start($client);
            }
        }
        curl_multi_exec($multi, $running);
        $running > 0 ? curl_multi_select($multi, 0.002) : usleep(1000);
        while ($done = curl_multi_info_read($multi)) {
            $curl = $done['handle'];
            if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
                fwrite(
                    STDERR,
                    'Answered '
                        .curl_getinfo($curl, CURLINFO_RESPONSE_CODE)
                        .': '
                        .mb_substr((string) curl_multi_getcontent($curl), 0, 200)
                        ."\n",
                );
                exit(1);
            }
            $taken[] = curl_getinfo($curl, CURLINFO_TOTAL_TIME) * 1000;
            $client = (int) curl_getinfo($curl, CURLINFO_PRIVATE);
            curl_multi_remove_handle($multi, $curl);
            if (--$left[$client] > 0) {
                $due[$client] = $asked[$client] + $pause;
            }
        }
    } while (array_sum($left) > 0);

    return $taken;
};

$once('GET', '/sanctum/csrf-cookie');
$once('POST', '/api/demo', '{}');
$formula = json_decode($once('POST', '/api/read', json_encode(['text' => RECIPE])), true)['formula'];
$evaluate = json_encode(['formula' => $formula, 'head_id' => null]);
// As the screen asks: at once at the first key, then at most every 150 ms.
$row(
    'POST /api/evaluate, 15 lines, 8 makers typing',
    $clients('POST', '/api/evaluate', $evaluate, 90, 8, 150.0),
    '30 ms at p95',
);
$row('POST /api/evaluate, 15 lines, 8 clients, no pause', $clients('POST', '/api/evaluate', $evaluate, 60, 8), '-');
// One after the other in turn, so that a slow second of the machine is in both.
$empty = $judged = [];
for ($round = 0; $round < 150; $round++) {
    $empty = [...$empty, ...$clients('POST', '/api/ping', '{}', 1, 1)];
    $judged = [...$judged, ...$clients('POST', '/api/evaluate', $evaluate, 1, 1)];
}
$alone = $row('POST /api/evaluate, 15 lines, 1 client', $judged, '-');
$nothing = $row('POST /api/ping, an empty answer, 1 client', $empty, '-');
printf("  %-56s %14.2f times %22s budget %s\n", 'the first beside the second', $alone / $nothing, '', '1.6 times');
$row(
    'POST /api/read, 20 lines, 1 client',
    $clients('POST', '/api/read', json_encode(['text' => RECIPE]), 30, 1),
    '300 ms on the page',
);
$open = json_decode($once('GET', '/api/batches?state=open', null), true)['items'][0]['id'];
$made = json_decode($once('GET', '/api/batches?state=done', null), true)['items'][0]['id'];
foreach (
    [
        '/api/batches/'.$open,
        '/api/batches/'.$made,
        '/api/formulas',
        '/api/batches',
        '/api/batches?state=done',
        '/api/batches?q=nowhere',
        '/api/today',
        '/api/routines',
        '/api/steeps',
        '/api/pantry/shelf',
        '/api/pantry/shelf?state=gone',
        '/',
    ] as $path
) {
    $row('GET '.$path.', 1 client', $clients('GET', $path, null, 30, 1), '60 ms at p95');
}
unlink($jar);
