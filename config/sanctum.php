<?php

declare(strict_types=1);

use Laravel\Sanctum\Sanctum;

return [
    // Requests from the application's own pages, on whatever port it is served.
    'stateful' => [Sanctum::$currentRequestHostPlaceholder],
    'guard' => ['web'],
    'expiration' => null,
    'middleware' => [
        'authenticate_session' => Laravel\Sanctum\Http\Middleware\AuthenticateSession::class,
        'encrypt_cookies' => Illuminate\Cookie\Middleware\EncryptCookies::class,
        'validate_csrf_token' => Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    ],
];
