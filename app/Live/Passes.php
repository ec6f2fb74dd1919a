<?php

declare(strict_types=1);

namespace App\Live;

use App\Studio\Accounts;
use App\Studio\SparingSessions;
use App\Studio\User;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;

/**
 * Who was let through lately.
 *
 * Whether a question is answered follows from what the browser sent with it, from its session as kept and from the row of its
 * person, and from nothing else. While all three are what they were when it was let through, it would be let through again: the
 * way through cookies, token, session and password, which takes longer than the answer, is not gone every time.
 */
final class Passes
{
    /** Seconds. After that the whole way is gone again: it also keeps the session from growing old. */
    private const LAST = 60;

    /** How many one worker remembers. */
    private const MOST = 200;

    /** Differs from one question to the next, and nothing of the way through asks for it. */
    private const PASSING = ['REQUEST_URI', 'PATH_INFO', 'PHP_SELF', 'SCRIPT_NAME', 'REMOTE_PORT', 'REQUEST_TIME', 'REQUEST_TIME_FLOAT', 'CONTENT_LENGTH', 'HTTP_CONTENT_LENGTH'];

    /** @var array<string, array{until: int, session: string, content: string, person: int, password: string}> by what was sent, the oldest first */
    private array $passes = [];

    public function __construct(private readonly Application $app)
    {
    }

    /** What decides of a question, before anything has read or changed it; "" for one that has to go the whole way. */
    public static function sent(Request $request): string
    {
        // A key of its own is written down on the way.
        return $request->headers->has('Idempotency-Key') ? '' : serialize([array_diff_key($request->server->all(), array_flip(self::PASSING)), $request->cookies->all(), $request->query->all()]);
    }

    /** The person, when the same was let through lately; null when the whole way has to be gone. */
    public function person(string $sent): ?User
    {
        $pass = $this->passes[$sent] ?? null;
        if ($pass === null || $pass['until'] < now()->getTimestamp() || $this->app->isDownForMaintenance()) {
            return null;
        }
        $sessions = new SparingSessions($this->app->make('files'), $this->app->make('config')->get('session.files'), $this->app->make('config')->get('session.lifetime'));
        if ($sessions->read($pass['session']) !== $pass['content']) {
            return null;
        }
        $person = $this->app->make(Accounts::class)->retrieveById($pass['person']);

        return $person?->password === $pass['password'] ? $person : null;
    }

    /**
     * Remembers one that has gone the whole way and was answered.
     *
     * @return bool whether it will be let through again: then its cookies are good as they are
     */
    public function remember(string $sent, Request $request): bool
    {
        unset($this->passes[$sent]);
        $person = $request->user();
        if ($sent === '' || ! $person instanceof User || ! $request->hasSession()) {
            return false;
        }
        $id = $request->session()->getId();
        $handler = $request->session()->getHandler();
        $content = $handler instanceof SparingSessions ? $handler->asRead($id) : null;
        // By now the cookies are read: one that names another session than there is has to be told of it.
        if ($content === null || $request->cookies->get($this->app->make('config')->get('session.cookie')) !== $id) {
            return false;
        }
        $this->passes[$sent] = ['until' => now()->getTimestamp() + self::LAST, 'session' => $id, 'content' => $content, 'person' => $person->id, 'password' => $person->password];
        if (count($this->passes) > self::MOST) {
            unset($this->passes[array_key_first($this->passes)]);
        }

        return true;
    }
}
