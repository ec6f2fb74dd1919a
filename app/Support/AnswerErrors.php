<?php

declare(strict_types=1);

namespace App\Support;

use Crown\Catalogue\CatalogueError;
use Crown\Formula\FormulaError;
use Crown\Formula\Reading\ReadingError;
use Crown\Formula\Solving\SolveError;
use Crown\Measure\MeasureError;
use Crown\Rhythm\RoutineError;
use Crown\Steep\SteepError;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** Turns exceptions into answers that say what happened, what was kept and what to do. */
final class AnswerErrors
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([FormulaError::class, SteepError::class, RoutineError::class, ReadingError::class, MeasureError::class, CatalogueError::class, SolveError::class, StaleWrite::class, Refused::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $field = static fn (string $field, string $message, int $status = 422): JsonResponse => new JsonResponse(['message' => $message, 'errors' => [$field => [$message]]], $status);

        $exceptions->render(static fn (FormulaError|SteepError|RoutineError $e) => $field($e->field, $e->getMessage()));
        $exceptions->render(static fn (Refused $e) => $field($e->field, $e->getMessage(), $e->status));
        $exceptions->render(static fn (ReadingError $e) => $field('text', $e->getMessage()));
        $exceptions->render(static fn (MeasureError $e) => $field('amount', $e->getMessage()));
        $exceptions->render(static fn (SolveError $e) => $field('demands', $e->getMessage()));
        $exceptions->render(static fn (CatalogueError $e) => $field('ingredient', $e->getMessage()));
        $exceptions->render(static fn (StaleWrite $e) => new JsonResponse(['message' => $e->getMessage(), 'current' => $e->current], 409));
        $exceptions->render(static function (NotFoundHttpException $e, Request $request): ?JsonResponse {
            return $request->is('api/*')
                ? new JsonResponse(['message' => $e->getPrevious() instanceof ModelNotFoundException ? 'There is no such thing in this studio.' : 'There is no such address.'], 404)
                : null;
        });
        $exceptions->render(static function (QueryException $e, Request $request): ?JsonResponse {
            return $request->is('api/*') && self::isGone($e)
                ? new JsonResponse(['message' => 'The database does not answer. Nothing you typed is lost; it is sent again when the database is back.'], 503)
                : null;
        });
    }

    private static function isGone(Throwable $e): bool
    {
        return preg_match('/refused|gone away|server has gone|No such file|lost connection/i', $e->getMessage()) === 1;
    }
}
