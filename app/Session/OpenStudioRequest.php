<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Who opens a studio, and what it is called: $defs/StudioOpening. */
final class OpenStudioRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:120',
            'studio' => 'required|string|max:120',
            'email' => 'required|string|max:190',
            'password' => 'required|string|max:200',
            'time_zone' => 'sometimes|nullable|string|timezone:all_with_bc',
            'country' => 'sometimes|nullable|string|size:2',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'What are you called? It stands beside what you do.',
            'studio.required' => 'What is the studio called?',
            'email.required' => 'An address or a name to sign in with.',
            'password.required' => 'A password, at least 12 characters.',
        ];
    }
}
