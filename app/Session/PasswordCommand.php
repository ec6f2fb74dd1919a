<?php

declare(strict_types=1);

namespace App\Session;

use Crown\Problem;
use Illuminate\Console\Command;

/** Gives a person a new password from the command line: where every code is lost. */
final class PasswordCommand extends Command
{
    protected $signature = 'crown:password {login : her address or name}';

    protected $description = 'Give a person a new password';

    public function handle(SetPassword $set): int
    {
        try {
            $password = $this->secret('Password');
            $password = is_string($password) ? $password : '';
            $user = $set($this->argument('login'), $password);
            $this->info(sprintf('%s has a new password. Her sessions have ended.', $user->name));
        } catch (Problem $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
