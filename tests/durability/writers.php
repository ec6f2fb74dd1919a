<?php

declare(strict_types=1);

/*
 * Part of tests/durability/run. "write": posts heads until a file beside the ledger says that it is enough, each under a key of
 * its own, sending again what was not acknowledged. "check": every acknowledged head is there, and exactly once.
 */

$url = (string) getenv('CROWN_URL');
$ledger = (string) getenv('CROWN_ACK');
$jar = $ledger.'.cookies';

/** @return array{int, string} status and body; status 0 when nothing answered */
$ask = static function (string $method, string $path, array $body, string $key = '') use ($url, $jar): array {
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($jar), $m) === 1 ? urldecode($m[1]) : '';
    $curl = curl_init($url.$path);
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_POSTFIELDS => $method === 'GET' ? null : json_encode($body),
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Referer: '.$url.'/', 'X-XSRF-TOKEN: '.$token, ...($key === '' ? [] : ['Idempotency-Key: '.$key])],
        CURLOPT_COOKIEFILE => $jar,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_TIMEOUT => 5,
    ]);
    $answer = curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$answer === false ? 0 : $status, (string) $answer];
};
$head = static fn (string $name): array => ['name' => $name, 'strand' => 'fine', 'porosity' => 'low', 'scalp' => 'calm', 'age_band' => 'over-12', 'pregnant' => false, 'allergies' => [], 'dislikes' => []];

if (($argv[1] ?? '') === 'write') {
    $ask('GET', '/sanctum/csrf-cookie', []);
    $ask('POST', '/api/demo', []);
    $formula = json_decode($ask('POST', '/api/read', ['text' => "Light oil\n80 g jojoba oil\n20 g olive oil"])[1], true)['formula'];
    file_put_contents($ledger.'.formula', json_encode($formula));
    $again = 0;
    for ($n = 0; ! file_exists($ledger.'.enough'); $n++) {
        $name = 'Durable '.$n;
        // Sent until it is acknowledged: the key keeps it from being done twice.
        $since = microtime(true);
        while ($ask('POST', '/api/heads', $head($name), 'durable-'.str_pad((string) $n, 6, '0', STR_PAD_LEFT))[0] !== 201) {
            $again++;
            usleep(100_000);
            if (microtime(true) > $since + 40) {
                fwrite(STDERR, "The application did not come back.\n");
                exit(1);
            }
        }
        file_put_contents($ledger, $name."\n", FILE_APPEND);
        // So that the workers have connections open when the database goes.
        $ask('POST', '/api/evaluate', ['formula' => $formula]);
    }
    printf("  %d acknowledged, %d sent again\n", $n, $again);
    exit($again > 0 ? 0 : 1);
}

for ($n = 0; $n < 8; $n++) {
    [$status] = $ask('POST', '/api/evaluate', ['formula' => json_decode((string) file_get_contents($ledger.'.formula'), true)]);
    if ($status !== 200) {
        fwrite(STDERR, sprintf("After the database came back a draft was answered with %d.\n", $status));
        exit(1);
    }
}
$acknowledged = file($ledger, FILE_IGNORE_NEW_LINES) ?: [];
$found = [];
$cursor = '';
do {
    $page = json_decode($ask('GET', '/api/heads?cursor='.$cursor, [])[1], true);
    foreach ($page['items'] ?? [] as $item) {
        $found[] = $item['name'];
    }
    $cursor = $page['next'] ?? '';
} while ($cursor !== '' && $cursor !== null);
$count = array_count_values($found);
$missing = array_filter($acknowledged, static fn (string $name): bool => ($count[$name] ?? 0) !== 1);
if ($missing !== [] || count($acknowledged) < 15) {
    fwrite(STDERR, sprintf("Of %d acknowledged heads %d are missing or doubled.\n", count($acknowledged), count($missing)));
    exit(1);
}
printf("  all %d are there, once each\n", count($acknowledged));
