<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use Closure;
use Crown\Problem;
use Illuminate\Console\Command;

/** A command that needs a password: it is asked for unseen, and what is wrong with it is said. */
abstract class AsksPassword extends Command
{
    /**
     * @param  Closure(string): User  $do with the password
     * @param  string  $says of her and the name she signs in with
     */
    protected function withPassword(Closure $do, string $says): int
    {
        try {
            $password = $this->secret('Password');
            $user = $do(is_string($password) ? $password : '');
            $this->info(sprintf($says, $user->name, $user->email));
        } catch (Problem $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    protected function said(string $argument): string
    {
        $said = $this->argument($argument);

        return is_string($said) ? $said : '';
    }
}
