<?php

declare(strict_types=1);

/*
 * Part of tests/durability/run. "write": posts heads until a file beside the ledger says that it is enough, each under
 * a key of its own, sending again what was not acknowledged. "check": every acknowledged head is there, and exactly
 * once.
 */

require __DIR__.'/client.php';

$head = static fn (string $name): array => [
    'name' => $name,
    'strand' => 'fine',
    'porosity' => 'low',
    'scalp' => 'calm',
    'age_band' => 'over-12',
    'pregnant' => false,
    'allergies' => [],
    'dislikes' => [],
];

if (($argv[1] ?? '') === 'write') {
    $ask('GET', '/sanctum/csrf-cookie');
    $ask('POST', '/api/demo');
    $formula = $ask('POST', '/api/read', ['text' => "Light oil\n80 g jojoba oil\n20 g olive oil"])[1]['formula'];
    file_put_contents($ledger.'.formula', json_encode($formula));
    $again = 0;
    for ($n = 0; ! file_exists($ledger.'.enough'); $n++) {
        $name = 'Durable '.$n;
        // Sent until it is acknowledged: the key keeps it from being done twice.
        $since = microtime(true);
        while (
            ($answer = $ask(
                'POST',
                '/api/heads',
                $head($name),
                'durable-'.str_pad((string) $n, 6, '0', STR_PAD_LEFT),
            ))[0] !== 201
        ) {
            $again++;
            usleep(100_000);
            if (microtime(true) > $since + 180) {
                fwrite(
                    STDERR,
                    sprintf("The application did not come back: %d %s\n", $answer[0], json_encode($answer[1])),
                );
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
    [$status] = $ask('POST', '/api/evaluate', [
        'formula' => json_decode((string) file_get_contents($ledger.'.formula'), true),
    ]);
    if ($status !== 200) {
        fwrite(STDERR, sprintf("After the database came back a draft was answered with %d.\n", $status));
        exit(1);
    }
}
$acknowledged = file($ledger, FILE_IGNORE_NEW_LINES) ?: [];
$found = [];
$cursor = '';
do {
    [, $page] = $ask('GET', '/api/heads?cursor='.$cursor);
    foreach ($page['items'] ?? [] as $item) {
        $found[] = $item['name'];
    }
    $cursor = $page['next'] ?? '';
} while ($cursor !== '' && $cursor !== null);
$count = array_count_values($found);
$missing = array_filter($acknowledged, static fn (string $name): bool => ($count[$name] ?? 0) !== 1);
if ($missing !== [] || count($acknowledged) < 15) {
    fwrite(
        STDERR,
        sprintf("Of %d acknowledged heads %d are missing or doubled.\n", count($acknowledged), count($missing)),
    );
    exit(1);
}
printf("  all %d are there, once each\n", count($acknowledged));
