<?php

declare(strict_types=1);

return [
    'default' => env('DB_CONNECTION', 'mariadb'),
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '33117'),
            'database' => env('DB_DATABASE', 'crown'),
            'username' => env('DB_USERNAME', 'crown'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            'timezone' => '+00:00',
            // Each statement sees what was committed before it, so that whoever waited for a lock goes by what is there
            // now.
            'isolation_level' => 'READ COMMITTED',
            'options' => [
                // Seconds until a database that does not let us in, or stands still, is said to be away. Reading has
                // its own limit in deploy/php.ini.
                PDO::ATTR_TIMEOUT => 3,
                // A transaction that its worker has left, as one does that gave up waiting, holds its rows no longer
                // than that.
                PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION innodb_lock_wait_timeout = 3, idle_transaction_timeout = '
                    .'15',
                // A worker keeps its connection from request to request, and asks in one round trip instead of
                // two. What a request leaves open is rolled back by PDO when it ends.
                PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false),
                PDO::ATTR_EMULATE_PREPARES => true,
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
