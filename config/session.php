<?php

declare(strict_types=1);

return [
    // Files: a session is read and written on every request, and costs the database nothing so.
    'driver' => env('SESSION_DRIVER', 'file'),
    'files' => storage_path('framework/sessions'),
    'lifetime' => (int) env('SESSION_LIFETIME', 10080),
    'expire_on_close' => false,
    'encrypt' => false,
    'lottery' => [2, 100],
    'cookie' => 'honest_crown_session',
    'path' => '/',
    'domain' => null,
    // Behind TLS the web server sets this; on loopback there is none.
    'secure' => env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'serialization' => 'json',
];
