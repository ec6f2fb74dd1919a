<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use Throwable;

/**
 * A connection that waits for a database that stands still once in a request: what took the whole of the patience
 * (deploy/php.ini) is not asked a second time, and nothing else is asked after it. One that was closed while nobody
 * used it says so at once, and is opened again as ever.
 */
final class WaitsOnce extends MariaDbConnection
{
    /** Seconds from which it was no closed connection, but one that stands still. */
    private const STANDS_STILL = 2.0;

    /** @var (Closure(): float)|null seconds by a clock that only goes forward; null but in a test, which has its own */
    public static ?Closure $clock = null;

    private float $asked = 0.0;

    private ?Throwable $away = null;

    public static function now(): float
    {
        return self::$clock === null ? hrtime(true) / 1e9 : (self::$clock)();
    }

    /** Whether so much time has gone that nothing answers. */
    public static function hasWaitedSince(float $asked): bool
    {
        return self::now() - $asked >= self::STANDS_STILL;
    }

    /** @param  array<array-key, mixed>  $bindings */
    protected function run($query, $bindings, Closure $callback)
    {
        $this->beginWaiting();

        return parent::run($query, $bindings, $callback);
    }

    protected function createTransaction()
    {
        $this->beginWaiting();
        parent::createTransaction();
    }

    /** @param  array<array-key, mixed>  $bindings */
    protected function tryAgainIfCausedByLostConnection(QueryException $e, $query, $bindings, Closure $callback)
    {
        $this->stopWaiting($e);

        return parent::tryAgainIfCausedByLostConnection($e, $query, $bindings, $callback);
    }

    protected function handleBeginTransactionException(Throwable $e)
    {
        $this->stopWaiting($e);
        parent::handleBeginTransactionException($e);
    }

    private function beginWaiting(): void
    {
        if ($this->away !== null) {
            throw $this->away;
        }
        $this->asked = self::now();
    }

    private function stopWaiting(Throwable $e): void
    {
        if (self::hasWaitedSince($this->asked) && $this->causedByLostConnection($e->getPrevious() ?? $e)) {
            $this->away = $e;

            throw $e;
        }
    }
}
