<?php

declare(strict_types=1);

/*
 * Holds PHP to phpcs.xml, except for what baseline.json beside it still allows: so many wide lines and so many complex
 * functions of each file, and never one more.   php tests/style/width.php [--write]      --write takes over what there
 * is now
 */

$root = dirname(__DIR__, 2);
$baseline = __DIR__.'/baseline.json';
$report = (string) tempnam(sys_get_temp_dir(), 'phpcs');
$command = 'cd %s && php vendor/bin/phpcs --standard=phpcs.xml --report-json=%s';
exec(sprintf($command, escapeshellarg($root), escapeshellarg($report)), $out, $code);
$files = json_decode((string) file_get_contents($report), true)['files'] ?? [];
unlink($report);
if ($code > 3 || $files === []) {
    fwrite(STDERR, "phpcs did not run:\n".implode("\n", $out)."\n");
    exit(2);
}

$found = $where = [];
foreach ($files as $file => $told) {
    foreach ($told['messages'] as $message) {
        $rule = str_contains($message['source'], 'LineLength') ? 'wide' : 'complex';
        $found[$file][$rule] = ($found[$file][$rule] ?? 0) + 1;
        $where[$file][$rule][] = $message['line'];
    }
}
ksort($found);
if (in_array('--write', $argv, true)) {
    file_put_contents($baseline, json_encode($found, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n");
    exit();
}

$allowed = json_decode((string) file_get_contents($baseline), true);
$more = 0;
foreach ($found as $file => $rules) {
    foreach ($rules as $rule => $count) {
        $may = $allowed[$file][$rule] ?? 0;
        if ($count > $may) {
            $more++;
            $lines = implode(', ', $where[$file][$rule]);
            printf("%s: %d %s, allowed %d; at lines %s\n", $file, $count, $rule, $may, $lines);
        }
    }
}
$total = static fn (array $counts): int => (int) array_sum(array_map(array_sum(...), $counts));
if ($more === 0 && $total($found) < $total($allowed)) {
    printf(
        "  %d less than the baseline allows: php tests/style/width.php --write\n",
        $total($allowed) - $total($found),
    );
}
exit($more === 0 ? 0 : 1);
