<?php

declare(strict_types=1);

namespace App\Session;

use Crown\Problem;
use Illuminate\Console\Command;

/** Opens a studio from the command line, whatever visitors may do. */
final class StudioCommand extends Command
{
    protected $signature = 'crown:studio
        {name : what its owner is called}
        {login : her address or name}
        {studio : what the studio is called}';

    protected $description = 'Open a studio with its owner';

    public function handle(OpenStudio $open): int
    {
        try {
            $password = $this->secret('Password');
            $password = is_string($password) ? $password : '';
            $user = $open(
                $this->said('name'),
                $this->said('studio'),
                $this->said('login'),
                $password,
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
