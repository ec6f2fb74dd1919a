<?php

declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';

// The catalogue is read anew: a file of it may have changed since it was kept.
@unlink(dirname(__DIR__).'/storage/framework/cache/catalogue.php');

// A test run must never touch a maker's data: refuse any database that is not one for tests.
$database = getenv('DB_DATABASE');
if (! is_string($database) || preg_match('/_test(_[a-z0-9_]+)?$/', $database) !== 1) {
    fwrite(
        STDERR,
        sprintf("The tests refuse to run on the database \"%s\": its name must end in _test.\n", (string) $database),
    );
    exit(1);
}
