<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/**
 * What a form request reads beside what the framework's own can: a number that may be left out.
 *
 * @mixin Request
 */
trait ReadsNumbers
{
    /** Null when it was left empty. */
    public function number(string $key): ?float
    {
        return $this->filled($key) ? $this->float($key) : null;
    }
}
