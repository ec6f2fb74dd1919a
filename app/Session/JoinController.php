<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Joining a studio by a link, before anybody is signed in. */
final class JoinController
{
    #[Speaks('InvitationSeen', does: 'What a link invites to')]
    public function show(string $token): JsonResponse
    {
        $invitation = Invitations::find($token);

        return new JsonResponse([
            'studio' => $invitation['studio'],
            'role' => $invitation['role']->value,
            'by' => $invitation['by'],
        ]);
    }

    #[Speaks('Session', 'JoinAsk', 201, 'Join a studio by a link')]
    public function store(string $token, JoinRequest $request, SessionView $view): JsonResponse
    {
        Entering::needsSession($request);
        $user = DB::transaction(static function () use ($token, $request): User {
            $invitation = Invitations::find($token);
            $name = trim($request->string('name')->value());
            $login = Login::free($request->string('email')->value());
            $password = $request->string('password')->value();
            Strength::demand($password, [$name, $invitation['studio'], $login]);
            $user = User::query()->create([
                'studio_id' => $invitation['studio_id'],
                'name' => $name,
                'email' => $login,
                'password' => $password,
                'role' => $invitation['role'],
            ]);
            DB::table('invitations')->where('id', $invitation['id'])->update(['used_at' => Carbon::now()]);
            SecurityLog::write($user->studio_id, $user->name, SecurityKind::Joined, $invitation['role']->value);

            return $user->load('studio');
        });
        Entering::begin($request, $user);

        return new JsonResponse($view->toArray(), 201);
    }
}
