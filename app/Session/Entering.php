<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Somebody's sessions: begun anew, and ended. */
final class Entering
{
    /** A request that does not come from our own pages has no session to sign in to. */
    public static function needsSession(Request $request): void
    {
        if (! $request->hasSession()) {
            throw Refused::unreadable('email', 'Sign in from the application\'s own page.');
        }
    }

    public static function begin(Request $request, User $user): void
    {
        Auth::guard('web')->login($user);
        $request->session()->regenerate();
    }

    /** All of a person's but the one that asks; all of them where none asks. */
    public static function endOthers(int $user, ?Request $request): int
    {
        return DB::table('sessions')
            ->where('user_id', $user)
            ->when($request?->hasSession(), static fn ($q) => $q->where('id', '!=', $request?->session()->getId()))
            ->delete();
    }
}
