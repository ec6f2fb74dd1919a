<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Who somebody is, by her name and password. Failures are counted by account and address together, so that nobody can
 * lock another out, and by address alone, so that nobody can go through many accounts. Both are answered in the same
 * time, whether the account exists or not.
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
    public function __invoke(string $written, string $password, string $from): User
    {
        $login = Login::spelt($written);
        $ofOne = 'sign-in:'.hash('sha256', $login.'|'.$from);
        $keys = [
            $ofOne => [self::OF_ONE, 60],
            $ofOne.':hour' => [self::OF_ONE_IN_AN_HOUR, 3600],
            'sign-in-from:'.$from => [self::FROM_ONE, 60],
        ];
        foreach ($keys as $key => [$most]) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw new TooManyTries(RateLimiter::availableIn($key));
            }
        }
        $user = User::query()->where('email', $login)->first();
        $fits = Hash::check($password, $user->password ?? self::NOBODY);
        if ($user === null || ! $fits) {
            foreach ($keys as $key => [, $seconds]) {
                RateLimiter::hit($key, $seconds);
            }
            if ($user !== null) {
                SecurityLog::write($user->studio_id, $user->name, SecurityKind::Failed);
            }
            throw Refused::because('email', 'This address and password do not belong together.');
        }
        RateLimiter::clear($ofOne);
        RateLimiter::clear($ofOne.':hour');
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::SignedIn);

        return $user;
    }
}
