<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connectors\MariaDbConnector;
use SensitiveParameter;
use Throwable;

/** Opens a connection, and tries that again only where the first try was answered at once: else it would wait twice. */
final class ConnectsOnce extends MariaDbConnector
{
    private float $asked = 0.0;

    /**
     * @param  array<array-key, mixed>  $config
     * @param  array<array-key, mixed>  $options
     */
    public function createConnection($dsn, array $config, array $options)
    {
        $this->asked = WaitsOnce::now();

        return parent::createConnection($dsn, $config, $options);
    }

    /** @param  array<array-key, mixed>  $options */
    protected function tryAgainIfCausedByLostConnection(
        Throwable $e,
        $dsn,
        $username,
        #[SensitiveParameter] $password,
        $options,
    ) {
        if (WaitsOnce::hasWaitedSince($this->asked)) {
            throw $e;
        }

        return parent::tryAgainIfCausedByLostConnection($e, $dsn, $username, $password, $options);
    }
}
