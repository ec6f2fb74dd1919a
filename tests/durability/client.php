<?php

declare(strict_types=1);

/*
 * Part of tests/durability/run: a browser of the demo studio in few words. $ask asks once; $together sends several at
 * once.
 */

$url = (string) getenv('CROWN_URL');
$ledger = (string) getenv('CROWN_ACK');
$jar = $ledger.'.cookies';

$handle = static function (string $method, string $path, array $body, string $key = '') use ($url, $jar): CurlHandle {
    $found = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($jar), $m) === 1;
    $curl = curl_init($url.$path);
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_POSTFIELDS => $method === 'GET' ? null : json_encode((object) $body),
        CURLOPT_HTTPHEADER => [
            'Content-Type: application/json',
            'Accept: application/json',
            'Referer: '.$url.'/',
            'X-XSRF-TOKEN: '.($found ? urldecode($m[1]) : ''),
            ...$key === '' ? [] : ['Idempotency-Key: '.$key],
        ],
        CURLOPT_COOKIEFILE => $jar,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_TIMEOUT => (int) (getenv('CROWN_PATIENCE') ?: 8),
    ]);

    return $curl;
};

/** @return array{int, array<string, mixed>} status and body; status 0 when nothing answered */
$ask = static function (string $method, string $path, array $body = [], string $key = '') use ($handle): array {
    $curl = $handle($method, $path, $body, $key);
    $answer = curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$answer === false ? 0 : $status, (array) json_decode((string) $answer, true)];
};

/**
 * @param  list<array{0: string, 1: string, 2: array<string, mixed>, 3?: string}>  $questions
 * @return list<array{int, array<string, mixed>}> as $ask, in the same order
 */
$together = static function (array $questions) use ($handle): array {
    $multi = curl_multi_init();
    $handles = array_map(static fn (array $q): CurlHandle => $handle(...$q), $questions);
    array_map(static fn (CurlHandle $curl): int => curl_multi_add_handle($multi, $curl), $handles);
    do {
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.01);
    } while ($running > 0);

    return array_map(
        static fn (CurlHandle $curl): array => [
            curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
            (array) json_decode((string) curl_multi_getcontent($curl), true),
        ],
        $handles,
    );
};
