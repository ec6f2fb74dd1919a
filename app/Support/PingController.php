<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\JsonResponse;

/**
 * Answers nothing: whether the application is there, and what an answer costs by itself (bin/bench sets others beside
 * it).
 */
final class PingController
{
    #[Speaks('Pong', does: 'Whether the application answers')]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['pong' => true]);
    }
}
