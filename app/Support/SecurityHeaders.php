<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Headers that keep a page from loading or being loaded by anything that is not ours. */
final class SecurityHeaders
{
    /** Styles may be inline: the jar sets heights on its bands. Scripts may not. */
    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
        ."img-src 'self' data:; font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; "
        ."form-action 'self'; frame-ancestors 'self'; frame-src 'self'";

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set('Content-Security-Policy', self::POLICY);
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        // Sanctum needs the referrer on our own address to know its own pages.
        $response->headers->set('Referrer-Policy', 'same-origin');

        // Links by which one thing is seen without an account are found by whoever has them, and by nobody else.
        if ($request->is('look/*', 'jar/*', 'join/*', 'api/look/*', 'api/jar/*', 'api/join/*')) {
            $response->headers->set('X-Robots-Tag', 'noindex, nofollow');
        }

        // What is a maker's own is kept by nobody on the way, nor on the disk of a browser. Pictures say for
        // themselves.
        if ($request->is('api/*', 'papers/*', 'sanctum/*')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
