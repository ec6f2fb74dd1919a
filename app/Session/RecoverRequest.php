<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Who lost her password, with a code and a new one: $defs/RecoveryAsk. */
final class RecoverRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => 'required|string|max:190',
            'code' => 'required|string|max:120',
            'new' => 'required|string|max:200',
        ];
    }
}
