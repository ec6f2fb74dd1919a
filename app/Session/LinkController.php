<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Private links of a studio, whatever they show: seen, and ended. */
final class LinkController
{
    public function __construct(private readonly PrivateLinks $links)
    {
    }

    #[Speaks('LinkList', does: 'Private links of this studio, and when each was last used')]
    public function index(): JsonResponse
    {
        return new JsonResponse(['items' => $this->links->all()]);
    }

    #[Speaks('LinkList', does: 'End a private link')]
    public function destroy(int $link, Request $request): JsonResponse
    {
        $this->links->end($link, User::in($request));

        return $this->index();
    }
}
