<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** Carries an unsuccessful answer out of a transaction that is rolled back. */
final class Undone extends RuntimeException
{
    public function __construct(public readonly Response $response)
    {
        parent::__construct('undone');
    }
}
