<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;

/** Adds a person to a studio, without an invitation. */
final class AddPerson
{
    /** @throws Refused */
    public function __invoke(string $studio, string $name, string $login, string $password, Role $role): User
    {
        $into = Studio::query()->find((int) $studio)
            ?? throw Refused::missing('studio', 'There is no studio with this number.');
        $spelt = Login::free($login);
        Strength::demand($password, [$name, $into->name, $spelt]);
        SecurityLog::write($into->id, $name, SecurityKind::Joined, $role->value);

        return User::query()->create([
            'studio_id' => $into->id,
            'name' => $name,
            'email' => $spelt,
            'password' => $password,
            'role' => $role,
        ]);
    }
}
