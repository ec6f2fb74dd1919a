<?php

declare(strict_types=1);

return [
    // In the database: written whole or not at all, and each can be ended.
    'driver' => env('SESSION_DRIVER', 'database'),
    'table' => 'sessions',
    'lifetime' => (int) env('SESSION_LIFETIME', 10080),
    'expire_on_close' => false,
    'encrypt' => false,
    'lottery' => [2, 100],
    'cookie' => env('SESSION_COOKIE', 'honest_crown_session'),
    'path' => '/',
    'domain' => null,
    // Behind TLS the web server sets this; on loopback there is none.
    'secure' => env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'serialization' => 'json',
];
