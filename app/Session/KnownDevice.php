<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/**
 * A browser in which somebody was signed in before carries a sealed word of it: her failures there are counted by
 * themselves, so that nobody who shares her network can lock her out.
 */
final class KnownDevice
{
    private const COOKIE = 'crown_device';

    /** Days for which it is known. */
    private const DAYS = 180;

    public static function remember(User $user): void
    {
        Cookie::queue(Cookie::make(
            self::COOKIE,
            $user->id.'.'.Token::fresh(),
            self::DAYS * 1440,
            secure: (bool) config('session.secure'),
            httpOnly: true,
            sameSite: 'lax',
        ));
    }

    /** What tells this browser from all others, where it was this person's before; null where it was not. */
    public static function of(Request $request, ?User $user): ?string
    {
        $word = $request->cookie(self::COOKIE);

        return $user !== null && is_string($word) && str_starts_with($word, $user->id.'.')
            ? hash('sha256', $word)
            : null;
    }
}
