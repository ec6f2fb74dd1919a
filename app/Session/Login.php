<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Normalizer;

/** The address or name by which somebody signs in: one account has one spelling. */
final class Login
{
    public const LONGEST = 190;

    /** As it is kept and compared: composed letters, small, nothing around it. */
    public static function spelt(string $written): string
    {
        $whole = normalizer_normalize($written, Normalizer::FORM_KC);
        $plain = preg_replace('/[\p{C}\s]+/u', ' ', is_string($whole) ? $whole : $written);

        return mb_strtolower(trim((string) $plain));
    }

    /** @throws Refused when it cannot be one, or is another's */
    public static function free(string $written): string
    {
        $login = self::spelt($written);
        $isOne = preg_match('/^(?:[^\s@]{2,60}|[^\s@]{1,64}@[^\s@]+\.[^\s@]+)$/u', $login) === 1;
        if (! $isOne || mb_strlen($login) > self::LONGEST) {
            throw Refused::because(
                'email',
                'An e-mail address, or a name of 2 to 60 letters and figures without a space.',
            );
        }
        if (User::query()->withTrashed()->where('email', $login)->exists()) {
            throw Refused::because('email', 'Somebody has this name here already. Choose another.');
        }

        return $login;
    }
}
