<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Studio\User;
use App\Support\Refused;

/** Adds a person to a studio from the command line. */
final class PersonCommand extends AsksPassword
{
    protected $signature = 'crown:person
        {studio : number of the studio}
        {name : what she is called}
        {login : her address or name}
        {--role=maker : owner, maker or helper}';

    protected $description = 'Add a person to a studio';

    public function handle(AddPerson $add): int
    {
        return $this->withPassword(
            fn (string $password): User => $add(
                $this->said('studio'),
                $this->said('name'),
                $this->said('login'),
                $password,
                Role::tryFrom(is_string($this->option('role')) ? $this->option('role') : '')
                    ?? throw Refused::because('role', 'Allowed: owner, maker, helper.'),
            ),
            '%s can sign in as %s.',
        );
    }
}
