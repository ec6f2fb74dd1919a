<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;

/** Gives a person a new password from the command line: where every code is lost. */
final class PasswordCommand extends AsksPassword
{
    protected $signature = 'crown:password {login : her address or name}';

    protected $description = 'Give a person a new password';

    public function handle(SetPassword $set): int
    {
        return $this->withPassword(
            fn (string $password): User => $set($this->said('login'), $password),
            '%s has a new password. Her sessions have ended.',
        );
    }
}
