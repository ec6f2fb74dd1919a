<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Who joins: $defs/JoinAsk. */
final class JoinRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:120',
            'email' => 'required|string|max:190',
            'password' => 'required|string|max:200',
        ];
    }
}
