<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A part in a studio: $defs/RoleAsk. */
final class RoleRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['role' => ['required', Rule::enum(Role::class)]];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->value());
    }
}
