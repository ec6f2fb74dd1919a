<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;

/** Gives a person a new password; all her sessions end. */
final class SetPassword
{
    /** @throws Refused */
    public function __invoke(string $login, string $password): User
    {
        $user = User::query()->where('email', Login::spelt($login))->first()
            ?? throw Refused::missing('login', 'There is nobody of this name.');
        Strength::demand($password, [$user->name, $user->studio->name, $user->email]);
        $user->update(['password' => $password]);
        Entering::endOthers($user->id, null);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Password, 'from the command line');

        return $user;
    }
}
