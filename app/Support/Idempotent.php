<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A post that carries an Idempotency-Key is done once: sent again, it gets the first answer.
 *
 * The key is written in the same transaction as what the post does, so that a crash leaves both or neither.
 */
final class Idempotent
{
    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header('Idempotency-Key');
        if (! $request->isMethod('POST') || ! is_string($key) || $key === '') {
            return $next($request);
        }
        if (preg_match('/^[\w-]{8,100}$/', $key) !== 1) {
            throw new Refused('Idempotency-Key', 'An idempotency key has 8 to 100 letters, figures, dashes or underscores.');
        }
        $row = ['user_id' => $request->user()?->getAuthIdentifier(), 'key' => $key];
        try {
            return DB::transaction(static function () use ($request, $next, $row): Response {
                DB::table('idempotency_keys')->insert([...$row, 'path' => $request->path(), 'created_at' => now()]);
                /** @var Response $response */
                $response = $next($request);
                if (! $response->isSuccessful()) {
                    throw new Undone($response);
                }
                DB::table('idempotency_keys')->where($row)->update(['status' => $response->getStatusCode(), 'body' => $response->getContent()]);

                return $response;
            });
        } catch (Undone $undone) {
            // A refused post may be mended and sent again under the same key.
            return $undone->response;
        } catch (UniqueConstraintViolationException $e) {
            $first = DB::table('idempotency_keys')->where($row)->first();
            if ($first === null) {
                throw $e;
            }
            if ($first->path !== $request->path()) {
                throw new Refused('Idempotency-Key', 'This idempotency key was used for something else.', 409);
            }

            return JsonResponse::fromJsonString((string) $first->body, (int) $first->status, ['Idempotent-Replay' => 'true']);
        }
    }
}
