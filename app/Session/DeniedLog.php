<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Support\Facades\Auth;

/** Whoever asks for what is not her part is written down for the owner. */
final class DeniedLog
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->stopIgnoring(AuthorizationException::class);
        $exceptions->report(static function (AuthorizationException $e): bool {
            $user = Auth::guard('web')->user();
            if ($user instanceof User) {
                SecurityLog::write($user->studio_id, $user->name, SecurityKind::Denied, request()->path());
            }

            return false;
        });
    }
}
