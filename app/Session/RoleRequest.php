<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Studio\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A part in a studio: $defs/RoleAsk. */
final class RoleRequest extends FormRequest
{
    use ConfirmsPassword;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['role' => ['required', Rule::enum(Role::class)], 'password' => 'sometimes|nullable|string|max:200'];
    }

    /** A studio is passed on by whoever knows its owner's password, and not only by who sits at her screen. */
    public function confirms(User $me): void
    {
        if ($this->role() === Role::Owner) {
            $this->hasPassword($me);
        }
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->value());
    }
}
