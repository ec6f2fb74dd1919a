<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Who wants in: $defs/SignIn. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => 'required|string|max:190',
            'password' => 'required|string|max:200',
        ];
    }
}
