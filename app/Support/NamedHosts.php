<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Middleware\TrustHosts;

/**
 * Only hosts that the installation names are answered, wherever it runs: a page elsewhere whose name is turned to this
 * machine reaches nothing.
 */
final class NamedHosts extends TrustHosts
{
    /** @return list<string> patterns */
    public function hosts(): array
    {
        $url = config('app.url');
        $own = parse_url(is_string($url) ? $url : '', PHP_URL_HOST);
        $named = config('crown.hosts');
        $all = ['127.0.0.1', 'localhost', '[::1]', is_string($own) ? $own : '', ...is_array($named) ? $named : []];

        return array_values(array_map(
            static fn (string $host): string => '^'.preg_quote($host).'$',
            array_filter($all, static fn (mixed $host): bool => is_string($host) && $host !== ''),
        ));
    }

    protected function shouldSpecifyTrustedHosts(): bool
    {
        return true;
    }
}
