<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Hash;

/** Ten codes, shown once, each of which opens the account once when the password is lost. */
final class RecoveryController
{
    #[Speaks('RecoveryCodes', 'CodesAsk', 201, 'Ten new codes for a lost password; those before them end')]
    public function store(CodesRequest $request, RecoveryCodes $codes): JsonResponse
    {
        $user = User::in($request);
        if ($user->studio->demo) {
            throw Refused::because('current', 'The demo studio needs no codes: everyone can enter it.');
        }
        if (! Hash::check($request->string('current')->value(), $user->password)) {
            throw Refused::because('current', 'This is not your present password.');
        }

        return new JsonResponse(['codes' => $codes->renew($user)], 201);
    }

    #[Speaks('Session', 'RecoveryAsk', does: 'Set a new password with one of the codes')]
    public function recover(RecoverRequest $request, RecoveryCodes $codes, SessionView $view): JsonResponse
    {
        Entering::needsSession($request);
        $user = $codes->open(
            $request->string('email')->value(),
            $request->string('code')->value(),
            $request->string('new')->value(),
            (string) $request->ip(),
        );
        Entering::begin($request, $user);

        return new JsonResponse($view->toArray());
    }
}
