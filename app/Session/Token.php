<?php

declare(strict_types=1);

namespace App\Session;

/** A secret in a link: 128 bits of chance, of which only the hash is kept. */
final class Token
{
    private const BYTES = 16;

    public static function fresh(): string
    {
        return rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '=');
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
