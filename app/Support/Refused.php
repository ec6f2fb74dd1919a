<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** A request that is understood but not allowed in the present state. Names the field and says what is allowed. */
final class Refused extends RuntimeException
{
    public function __construct(public readonly string $field, string $message, public readonly int $status = 422)
    {
        parent::__construct($message);
    }
}
