<?php

declare(strict_types=1);

/*
 * Read by PHP's server before its first request (opcache.preload): the classes that nearly every request uses are
 * linked once and shared by all workers, instead of again for each request. The server is started anew after every
 * change.
 */

$root = dirname(__DIR__);
require $root.'/vendor/autoload.php';

$used = [
    'App\\',
    'Crown\\',
    'Carbon\\',
    'Dotenv\\',
    'Fruitcake\\',
    'Laravel\\Sanctum\\',
    'PhpOption\\',
    'Psr\\',
    'Symfony\\Component\\Clock\\',
    'Symfony\\Component\\HttpFoundation\\',
    'Symfony\\Component\\HttpKernel\\Exception\\',
    'Symfony\\Component\\Routing\\',
    'Symfony\\Component\\Translation\\',
    'Symfony\\Contracts\\',
];
foreach (
    [
        'Auth',
        'Bus',
        'Cache',
        'Config',
        'Container',
        'Contracts',
        'Cookie',
        'Database',
        'Encryption',
        'Events',
        'Filesystem',
        'Foundation',
        'Hashing',
        'Http',
        'Log',
        'Pagination',
        'Pipeline',
        'Routing',
        'Session',
        'Support',
        'Translation',
        'Validation',
        'View',
    ] as $room
) {
    $used[] = 'Illuminate\\'.$room.'\\';
}
// Never within a request, or made for packages that are not here.
$never = '/
    HttpFoundation\\\\Session|Carbon\\\\Doctrine|Routing\\\\(Loader|Matcher\\\\Expression)
    |\\\\(Console|DataCollector|DependencyInjection|PHPStan|Test|Testing|Tests)\\\\|Command$
    |Illuminate\\\\(
        Foundation\\\\(Bus\\\\PendingChain|Vite|Cloud)|Support\\\\Testing
        |Cache\\\\(Dynamo|Redis|Memcached|PhpRedis)|Session\\\\(Cache|Dynamo)|Filesystem\\\\Aws
        |Database\\\\(PDO\\\\SqlServer|SqlServer|Postgres|SQLite)|Contracts\\\\Broadcasting
    )
/x';

foreach (array_keys(require $root.'/vendor/composer/autoload_classmap.php') as $class) {
    foreach ($used as $prefix) {
        if (str_starts_with($class, $prefix) && preg_match($never, $class) !== 1) {
            try {
                class_exists($class) || interface_exists($class) || trait_exists($class) || enum_exists($class);
            } catch (Throwable) {
                // It is made for a package that is not here: it is never used either.
            }
            break;
        }
    }
}
