<?php

declare(strict_types=1);

namespace App\Session;

use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** A lost password, by mail: a link is asked for, and used. */
final class MailRecoveryController
{
    public function __construct(private readonly MailedLinks $links, private readonly SessionView $view)
    {
    }

    #[Speaks('Session', 'MailAsk', 202, 'Ask for a link to a new password by mail, where mail is sent')]
    public function store(MailAskRequest $request): JsonResponse
    {
        $this->links->ask($request->string('email')->value(), (string) $request->ip());

        return new JsonResponse($this->view->toArray(), 202);
    }

    #[Speaks('Session', 'RecoveryAsk', does: 'Set a new password with the code of such a link')]
    public function update(RecoverRequest $request): JsonResponse
    {
        Entering::needsSession($request);
        $user = $this->links->open(
            $request->string('email')->value(),
            $request->string('code')->value(),
            $request->string('new')->value(),
            (string) $request->ip(),
        );
        Entering::begin($request, $user);

        return new JsonResponse($this->view->toArray());
    }
}
