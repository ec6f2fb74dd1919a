<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Crown\Json\Node;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PDOException;
use stdClass;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every write is one transaction: what is answered with an error has changed nothing. Two that stand in each other's
 * way are tried again.
 *
 * A post that carries an Idempotency-Key is done once: sent again, it gets the first answer. The key is written in the
 * same transaction as what the post does, so that a crash leaves both or neither. Of the key only a hash is kept, and
 * the answer is sealed with the key itself: whoever reads the database reads no secret and no note in it. What is
 * deleted takes its answers along.
 */
final class Idempotent
{
    /** Days for which a key is known. Nobody sends a post again after that. */
    public const KNOWN_DAYS = 7;

    private const TRIES = 4;

    /** Old keys that are forgotten with every new one, so that they never pile up. */
    private const FORGOTTEN_AT_ONCE = 20;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $key = $this->key($request);
        try {
            $response = DB::transaction(
                fn (): Response => $key === null ? $this->plainly($request, $next) : $this->once($key, $request, $next),
                self::TRIES,
            );
        } catch (Undone $undone) {
            // A refused post may be mended and sent again under the same key.
            return $undone->response;
        }
        if ($key !== null) {
            $this->forgetOld();
        }

        return $response;
    }

    private function key(Request $request): ?string
    {
        $key = $request->header('Idempotency-Key');
        if (! $request->isMethod('POST') || ! is_string($key) || $key === '') {
            return null;
        }
        if (preg_match('/^[\w-]{8,100}$/D', $key) !== 1) {
            throw Refused::because(
                'Idempotency-Key',
                'An idempotency key has 8 to 100 letters, figures, dashes or underscores.',
            );
        }

        return $key;
    }

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws Undone when it is answered with an error, so that nothing of it is kept
     */
    private function done(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // The router has made an answer of it already: the transaction has to hear of it all the same.
        $thrown = $response->exception ?? null;
        if ($thrown instanceof PDOException) {
            throw $thrown;
        }

        return $response->isSuccessful() ? $response : throw new Undone($response);
    }

    /** @param  Closure(Request): Response  $next */
    private function plainly(Request $request, Closure $next): Response
    {
        $response = $this->done($request, $next);
        if ($request->isMethod('DELETE')) {
            $path = $this->path($request);
            // The key stays, so that nothing is done twice; what was answered goes.
            DB::table('idempotency_keys')
                ->where('made', $path)
                ->orWhere('made', 'like', addcslashes($path, '%_\\').'/%')
                ->update(['body' => '']);
        }

        return $response;
    }

    private function path(Request $request): string
    {
        return mb_substr($request->path(), 0, 190);
    }

    /** @param  Closure(Request): Response  $next */
    private function once(string $key, Request $request, Closure $next): Response
    {
        $row = ['user_id' => $request->user()?->getAuthIdentifier(), 'key' => hash('sha256', $key)];
        $asked = ['path' => $this->path($request), 'asked_hash' => $this->hash($request)];
        try {
            // Waits here while the same is being done: it is then known.
            DB::table('idempotency_keys')->insert([...$row, ...$asked, 'created_at' => Carbon::now()]);
        } catch (UniqueConstraintViolationException) {
            return $this->again($key, DB::table('idempotency_keys')->where($row)->firstOrFail(), $asked);
        }
        $response = $this->done($request, $next);
        DB::table('idempotency_keys')
            ->where($row)
            ->update([
                'status' => $response->getStatusCode(),
                'body' => self::sealing($key)->encryptString((string) $response->getContent()),
                'made' => self::made($asked['path'], (string) $response->getContent()),
            ]);

        return $response;
    }

    /** The address of what a post has made, so that its answer can go with it; null where it made nothing. */
    private static function made(string $path, string $answer): ?string
    {
        $body = json_decode($answer, true);
        $id = is_array($body) ? $body['id'] ?? null : null;

        return is_int($id) ? mb_substr("$path/$id", 0, 190) : null;
    }

    private static function sealing(string $key): Encrypter
    {
        return new Encrypter(hash_hkdf('sha256', $key, 32, 'an answer kept for a second try'), 'aes-256-gcm');
    }

    /** @param  array{path: string, asked_hash: string}  $asked */
    private function again(string $key, stdClass $first, array $asked): JsonResponse
    {
        // Keys from before bodies were remembered go by their path alone.
        if ($first->path !== $asked['path'] || ! in_array($first->asked_hash, ['', $asked['asked_hash']], true)) {
            throw Refused::now(
                'Idempotency-Key',
                'This was sent before with other contents. Press again to send what stands here now.',
            );
        }

        $row = Node::of((array) $first);

        if ($row->text('body') === '') {
            throw Refused::now('Idempotency-Key', 'What came of this was deleted since. Press again to make it anew.');
        }
        $body = self::sealing($key)->decryptString($row->text('body'));

        return JsonResponse::fromJsonString($body, $row->whole('status') ?? 200, [
            'Idempotent-Replay' => 'true',
        ]);
    }

    private function hash(Request $request): string
    {
        $files = array_map(
            static fn (mixed $file): string => $file instanceof UploadedFile
                ? (string) hash_file('sha256', $file->getPathname())
                : '',
            $request->files->all(),
        );

        return hash('sha256', $request->getContent().serialize([$request->request->all(), $files]));
    }

    private function forgetOld(): void
    {
        DB::table('idempotency_keys')
            ->where('created_at', '<', Carbon::now()->subDays(self::KNOWN_DAYS))
            ->orderBy('created_at')
            ->limit(self::FORGOTTEN_AT_ONCE)
            ->delete();
    }
}
