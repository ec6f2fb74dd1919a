<?php

declare(strict_types=1);

// The packages as they stand in vendor/, one to a line: composer.versions is what all was proven with.

$installed = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/vendor/composer/installed.json'), true);
$lines = array_map(
    static fn (array $package): string => $package['name'].' '.$package['version'],
    $installed['packages'],
);
sort($lines);
echo implode("\n", $lines), "\n";
