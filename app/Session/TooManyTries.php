<?php

declare(strict_types=1);

namespace App\Session;

use Exception;
use Illuminate\Http\JsonResponse;

/** So many failures that the next is not looked at for a while. */
final class TooManyTries extends Exception
{
    public function __construct(private readonly int $seconds)
    {
        parent::__construct(sprintf('Too many tries. Wait %d seconds, then try again.', max(1, $seconds)));
    }

    /** Not written down: it is expected. */
    public function report(): bool
    {
        return true;
    }

    public function render(): JsonResponse
    {
        return new JsonResponse(
            ['message' => $this->getMessage(), 'errors' => ['email' => [$this->getMessage()]]],
            429,
            ['Retry-After' => (string) max(1, $this->seconds)],
        );
    }
}
