<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;

/** Opens a studio from the command line, whatever visitors may do. */
final class StudioCommand extends AsksPassword
{
    protected $signature = 'crown:studio
        {name : what its owner is called}
        {login : her address or name}
        {studio : what the studio is called}';

    protected $description = 'Open a studio with its owner';

    public function handle(OpenStudio $open): int
    {
        return $this->withPassword(
            fn (string $password): User => $open(
                $this->said('name'),
                $this->said('studio'),
                $this->said('login'),
                $password,
            ),
            '%s can sign in as %s.',
        );
    }
}
