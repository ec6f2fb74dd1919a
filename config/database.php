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
            'options' => [
                // A worker keeps its connection from request to request, and asks in one round trip instead of
                // two. What a request leaves open is rolled back by PDO when it ends.
                PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false),
                PDO::ATTR_EMULATE_PREPARES => true,
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
