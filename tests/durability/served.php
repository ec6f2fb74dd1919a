<?php

declare(strict_types=1);

// What nginx answers by itself, before the application is asked: deploy/nginx-site.conf.

$address = (string) getenv('CROWN_URL');
$public = __DIR__.'/../../public';
$wrong = [];

/** @return array{int, array<string, string>, string} the status, the headers (names in small letters) and the body */
$get = static function (string $path) use ($address): array {
    $request = curl_init($address.'/');
    $headers = [];
    curl_setopt_array($request, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_TIMEOUT => 60,
        // As it is written here: curl itself would tidy it or refuse it.
        CURLOPT_REQUEST_TARGET => $path,
        CURLOPT_HEADERFUNCTION => static function ($request, string $line) use (&$headers): int {
            [$name, $value] = explode(':', $line, 2) + [1 => ''];
            $headers[strtolower($name)] = trim($value);

            return strlen($line);
        },
    ]);
    $body = (string) curl_exec($request);

    return [curl_getinfo($request, CURLINFO_RESPONSE_CODE), $headers, $body];
};

$expect = static function (string $path, int $status, array $headers = []) use ($get, &$wrong): void {
    [$answered, $given] = $get($path);
    if ($answered !== $status) {
        $wrong[] = "$path is answered $answered, not $status";
    }
    foreach ($headers as $name => $value) {
        if (($given[$name] ?? '') !== $value) {
            $wrong[] = sprintf('%s is answered with %s "%s", not "%s"', $path, $name, $given[$name] ?? '', $value);
        }
    }
};

// A NUL in a path is nonsense, and PHP's own file functions end with a fatal error on it.
foreach (['/%00', '/api/today%00', '/build/assets/%00', '/index.php/%00'] as $path) {
    $expect($path, 400);
}

// A browser that guesses what a file is could run one as a script. Built files may be kept: a hash is in their name.
$built = glob("$public/build/assets/*") ?: throw new RuntimeException('Nothing is built.');
foreach ($built as $file) {
    $expect('/build/assets/'.basename($file), 200, [
        'x-content-type-options' => 'nosniff',
        'cache-control' => 'public, max-age=31536000, immutable',
    ]);
}
// The counter's worker looks after every address, and is asked for anew at each visit.
$expect('/build/sw.js', 200, [
    'service-worker-allowed' => '/',
    'cache-control' => 'no-cache',
    'x-content-type-options' => 'nosniff',
]);
foreach (glob("$public/*.svg") ?: throw new RuntimeException('No file stands in public/.') as $file) {
    $expect('/'.basename($file), 200, ['x-content-type-options' => 'nosniff']);
}

// What a person keeps is not left in the browser's cache on the disk.
$expect('/', 200, ['x-content-type-options' => 'nosniff']);
$expect('/api/today', 401, ['x-content-type-options' => 'nosniff', 'cache-control' => 'no-store, private']);

// No PHP but the one entrance is run, and nothing beside public/ is sent.
$expect('/other.php', 404);
foreach (['/.env', '/../.env', '/%2e%2e/.env'] as $path) {
    [$answered, , $body] = $get($path);
    if ($answered === 500 || str_contains($body, 'APP_KEY=')) {
        $wrong[] = "$path is answered $answered with ".substr($body, 0, 80);
    }
}

if ($wrong !== []) {
    fwrite(STDERR, implode("\n", $wrong)."\n");
}
exit($wrong === [] ? 0 : 1);
