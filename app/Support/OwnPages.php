<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Laravel\Sanctum\Http\Middleware\EnsureFrontendRequestsAreStateful;

/** Requests of our own pages have a session, but for a first look: a visit alone leaves nothing behind. */
final class OwnPages extends EnsureFrontendRequestsAreStateful
{
    /** @param  Request  $request */
    public static function fromFrontend($request): bool
    {
        $cookie = config('session.cookie');
        $looks = $request->isMethod('GET') && ! $request->cookies->has(is_string($cookie) ? $cookie : '');

        return ! $looks && parent::fromFrontend($request);
    }
}
