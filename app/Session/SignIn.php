<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Who somebody is, by her name and password. Failures are counted by account and address together, and by address
 * alone, so that nobody can go through many accounts. A browser in which she was signed in before has a count of its
 * own, so that nobody who shares her network can lock her out of it. Both are answered in the same time, whether the
 * account exists or not.
 */
final class SignIn
{
    /** Failures in a minute, of one account from one address. */
    private const OF_ONE = 5;

    /** Failures in an hour, of one account from one address. */
    private const OF_ONE_IN_AN_HOUR = 60;

    /** Failures in a minute, from one address. */
    private const FROM_ONE = 20;

    /** Of nobody: compared where there is no such account. */
    private const NOBODY = '$2y$12$WmC9VhQ6hjl.zXSkH0mQIO8u6wHhZl0mXbJ2b3fCq1Yy0y0y0y0y2';

    /** @throws Refused|TooManyTries */
    public function __invoke(string $written, string $password, Request $request): User
    {
        $from = (string) $request->ip();
        $login = Login::spelt($written);
        $user = User::query()->where('email', $login)->first();
        $keys = self::counted($login, $from, KnownDevice::of($request, $user));
        foreach ($keys as $key => [$most]) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw new TooManyTries(RateLimiter::availableIn($key));
            }
        }
        $fits = Hash::check($password, $user->password ?? self::NOBODY);
        if ($user === null || ! $fits) {
            foreach ($keys as $key => [, $seconds]) {
                RateLimiter::hit($key, $seconds);
            }
            SecurityLog::write($user?->studio_id, $user->name ?? mb_substr($login, 0, 60), SecurityKind::Failed);
            throw Refused::because('email', 'This address and password do not belong together.');
        }
        array_map(RateLimiter::clear(...), array_slice(array_keys($keys), 0, 2));
        KnownDevice::remember($user);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::SignedIn);

        return $user;
    }

    /**
     * By what failures are counted, and how many in how many seconds: of one account from one place, and from one place
     * altogether. A browser that is known to be hers is a place of its own.
     *
     * @return array<string, array{int, int}>
     */
    private static function counted(string $login, string $from, ?string $device): array
    {
        $ofOne = 'sign-in:'.hash('sha256', $login.'|'.($device ?? $from));

        return [
            $ofOne => [self::OF_ONE, 60],
            $ofOne.':hour' => [self::OF_ONE_IN_AN_HOUR, 3600],
            ...$device === null ? ['sign-in-from:'.$from => [self::FROM_ONE, 60]] : [],
        ];
    }
}
