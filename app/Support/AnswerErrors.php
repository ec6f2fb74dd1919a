<?php

declare(strict_types=1);

namespace App\Support;

use Crown\Problem;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;
use PDOException;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** Turns exceptions into answers that say what happened, what was kept and what to do. */
final class AnswerErrors
{
    /** Ours: expected, and answered with what is allowed. */
    private const SAID = [Problem::class, StaleWrite::class, UniqueConstraintViolationException::class];

    /** What MariaDB and its client say while it is away, starting, full or standing still. */
    private const AWAY = '/refused|gone away|No such file|lost connection|server closed|Connection timed out
        |Too many connections|No space left|Disk full
        |\[?(?:1021|1040|1053|1114|1205|1213|1290|1969|2002|2006|2013)\]?(?!\d)/ix';

    private const FAILED = 'Something went wrong here. It was written down, and nothing was changed.';

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport(self::SAID);
        // Written down in one line: more would be asked of the database, which would have everyone wait once again.
        $exceptions->report(static function (Throwable $e): ?bool {
            $why = self::away($e);
            if ($why === null) {
                return $e instanceof PDOException ? self::reported($e) : null;
            }
            Log::warning($why.' '.($e instanceof PDOException ? self::said($e) : $e->getMessage()));

            return false;
        });
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));

        $exceptions->render(static fn (Problem $e) => self::refused($e));
        $exceptions->render(
            static fn (StaleWrite $e) => new JsonResponse(
                ['message' => $e->getMessage(), 'current' => $e->current],
                409,
            ),
        );
        $exceptions->render(static fn (NotFoundHttpException $e, Request $request) => self::notFound($e, $request));
        $exceptions->render(
            static fn (AccessDeniedHttpException $e, Request $request) => $request->is('api/*')
                ? self::told(403, 'Your part in this studio does not allow this. Ask its owner.')
                : null,
        );
        $exceptions->render(
            static fn (UniqueConstraintViolationException $e) => self::told(
                409,
                'Someone kept the same in this very moment. Look at it, then press again.',
            ),
        );
        $exceptions->render(static fn (Throwable $e, Request $request) => self::failed($e, $request));
    }

    private static function refused(Problem $problem): JsonResponse
    {
        return new JsonResponse(
            ['message' => $problem->getMessage(), 'errors' => [$problem->path => [$problem->getMessage()]]],
            $problem instanceof Refused ? $problem->status() : 422,
        );
    }

    private static function told(int $status, string $message): JsonResponse
    {
        return new JsonResponse(['message' => $message], $status, $status === 503 ? ['Retry-After' => '2'] : []);
    }

    private static function notFound(NotFoundHttpException $e, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*')) {
            return null;
        }

        return self::told(
            404,
            $e->getPrevious() instanceof ModelNotFoundException
                ? 'There is no such thing in this studio.'
                : 'There is no such address.',
        );
    }

    /** What nobody planned: nothing was kept of it, because every write is one transaction. */
    private static function failed(Throwable $e, Request $request): JsonResponse|Response|null
    {
        $why = self::away($e);
        if ($why !== null) {
            return $request->is('api/*')
                ? self::told(503, $why.' Nothing you typed is lost; try again in a moment.')
                : new Response(view('away', ['why' => $why])->render(), 503, ['Retry-After' => '2']);
        }
        if ($e instanceof HttpExceptionInterface || self::isTheFrameworks($e) || config('app.debug')) {
            return null;
        }

        return $request->is('api/*')
            ? self::told(500, self::FAILED.' Nothing you typed is lost.')
            : new Response(view('failed', ['why' => self::FAILED])->render(), 500);
    }

    /** Not signed in, or a field that is not allowed: the framework has answers of its own. */
    private static function isTheFrameworks(Throwable $e): bool
    {
        return $e instanceof \Illuminate\Validation\ValidationException
            || $e instanceof \Illuminate\Auth\AuthenticationException
            || $e instanceof \Illuminate\Http\Exceptions\HttpResponseException;
    }

    /** Why nothing can be read or kept just now; null when that is not it. */
    private static function away(Throwable $e): ?string
    {
        for ($cause = $e; $cause !== null; $cause = $cause->getPrevious()) {
            if (preg_match('/No space left on device|Disk quota exceeded/i', $cause->getMessage()) === 1) {
                return 'The disk of this machine is full.';
            }
            if ($cause instanceof PDOException && preg_match(self::AWAY, self::said($cause)) === 1) {
                return preg_match('/\b(?:1021|1114)\b|full/i', self::said($cause)) === 1
                    ? 'The disk of the database is full.'
                    : 'The database does not answer.';
            }
        }

        return null;
    }

    /** What the database would not take, without what somebody typed. */
    private static function reported(PDOException $e): bool
    {
        Log::error(self::said($e), ['at' => $e->getFile().':'.$e->getLine(), 'trace' => $e->getTraceAsString()]);

        return false;
    }

    /** Without the statement and what was bound to it: those are a maker's words, and may hold any number. */
    private static function said(PDOException $e): string
    {
        return (string) preg_replace('/\(Connection: .*$/s', '', $e->getMessage());
    }
}
