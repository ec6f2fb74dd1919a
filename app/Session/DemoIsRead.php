<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where a second person may reach the machine, nothing is changed in the studio that everybody can enter. */
final class DemoIsRead
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $writes = ! $request->isMethodSafe() && ! config('crown.demo_writes');
        if ($writes && $user instanceof User && $user->studio->demo) {
            throw Refused::now(
                'demo',
                'The demo studio can be looked at here, not changed. Open a studio of your own.',
            );
        }

        return $next($request);
    }
}
