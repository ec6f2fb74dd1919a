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
        return [
            'current' => 'required|string',
            'new' => 'required|string|min:10|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'new.min' => 'A new password needs at least 10 characters.',
        ];
    }
}
