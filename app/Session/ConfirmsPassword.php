<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Support\Facades\Hash;

/** What cannot be taken back asks for the present password once more. */
trait ConfirmsPassword
{
    /** @throws Refused where it is not hers */
    private function hasPassword(User $user): void
    {
        if (! Hash::check($this->string('password')->value(), $user->password)) {
            SecurityLog::write($user->studio_id, $user->name, SecurityKind::Failed, 'the present password');
            throw Refused::because('password', 'This is not your present password.');
        }
    }
}
