<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Support\Refused;
use Crown\Problem;
use Illuminate\Console\Command;

/** Adds a person to a studio from the command line. */
final class PersonCommand extends Command
{
    protected $signature = 'crown:person
        {studio : number of the studio}
        {name : what she is called}
        {login : her address or name}
        {--role=maker : owner, maker or helper}';

    protected $description = 'Add a person to a studio';

    public function handle(AddPerson $add): int
    {
        try {
            $password = $this->secret('Password');
            $password = is_string($password) ? $password : '';
            $user = $add(
                $this->said('studio'),
                $this->said('name'),
                $this->said('login'),
                $password,
                Role::tryFrom(is_string($this->option('role')) ? $this->option('role') : '')
                    ?? throw Refused::because('role', 'Allowed: owner, maker, helper.'),
            );
            $this->info(sprintf('%s can sign in as %s.', $user->name, $user->email));
        } catch (Problem $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    private function said(string $argument): string
    {
        $said = $this->argument($argument);

        return is_string($said) ? $said : '';
    }
}
