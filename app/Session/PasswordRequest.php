<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** The present password and the new one: $defs/PasswordChange. */
final class PasswordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['current' => 'required|string|max:200', 'new' => 'required|string|max:200'];
    }
}
