<?php

declare(strict_types=1);

/*
 * The workers that stay, for what is asked while someone types: php bin/live.php SOCKET [WORKERS]
 * A web server whose environment has CROWN_LIVE=SOCKET hands such questions to them, and answers them itself while nobody is here.
 */

use App\Live\Desk;

require dirname(__DIR__).'/vendor/autoload.php';

// They answer requests, as the web server does.
putenv('APP_RUNNING_IN_CONSOLE=false');
$_ENV['APP_RUNNING_IN_CONSOLE'] = $_SERVER['APP_RUNNING_IN_CONSOLE'] = 'false';
$socket = $argv[1] ?? '';
$count = (int) ($argv[2] ?? 2);
if ($socket === '' || $count < 1 || $count > 64) {
    fwrite(STDERR, "Use: php bin/live.php SOCKET [WORKERS], with 1 to 64 workers.\n");
    exit(2);
}
(new Desk($socket, $count))->open();
